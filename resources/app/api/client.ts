import { personHere } from '../offline/person';
import type { components } from './schema';
import type { Answer, Body, Method } from './typed';

type Schemas = components['schemas'];
export type Me = Schemas['MeView'];
export type Skills = Schemas['SkillsView'];
export type Tests = Schemas['TestsView'];
export type Film = Schemas['FilmView'];
export type FilmReview = Schemas['FilmReviewView'];
export type Today = Schemas['TodayView'];
export type TodayRow = Schemas['TodayRowView'];
export type Tape = Schemas['TapeView'];
export type Word = TodayRow['word'];
export type Channel = Schemas['ChannelView'];
export type Gate = Schemas['GateView'];
export type Sheet = Schemas['SheetView'];
export type Block = Schemas['BlockView'];
export type PickUp = Schemas['PickUpView'];
export type ThrowCheck = Schemas['ThrowCheckView'];
export type Serve = Schemas['ServeView'];
export type FlightNumbers = Schemas['FlightNumbersView'];
export type SizeNumbers = Schemas['SizeNumbersView'];
export type RungPreview = Schemas['RungPreviewView'];
export type LadderCompare = Schemas['LadderCompareView'];
export type Grips = Schemas['GripsView'];
export type Schools = Schemas['SchoolsView'];
export type ClubDrill = Schemas['ClubDrillView'];
export type DrillCard = Schemas['DrillCardView'];
export type Devices = Schemas['DevicesView'];
export type Outside = Schemas['OutsideView'];
export type SessionReadings = Schemas['SessionReadingsView'];
export type Brief = Schemas['BriefView'];
export type CoachNote = Schemas['CoachNoteView'];
export type Addable = Schemas['AddableView'];
export type Swap = Schemas['SwapView'];
export type Courtside = Schemas['CourtsideView'];
export type CourtsideBlock = Schemas['CourtsideBlockView'];
export type RepEvent = Schemas['RepEventView'];
export type Dose = Schemas['DoseView'];
export type After = Schemas['AfterView'];
export type SquadAfter = Schemas['SquadAfterView'];
export type PaperRow = Schemas['PaperRowView'];
export type AwayAndHurt = Schemas['AwayAndHurtView'];
export type Athlete = Schemas['AthleteView'];
export type AthleteCard = Schemas['AthleteCardView'];
export type Why = Schemas['WhyView'];
export type LoadDay = Schemas['LoadDayView'];
export type Soreness = Schemas['SorenessView'];
export type Ladder = Schemas['LadderView'];
export type Placing = Schemas['PlacingView'];
export type Placed = Schemas['PlacedView'];
export type RungRef = Schemas['RungRefView'];
export type SheetRef = Schemas['SheetRefView'];
export type ReturnRef = Schemas['ReturnRefView'];
export type ReturnDetail = Schemas['ReturnView'];
export type Openable = Schemas['OpenableView'];
export type Import = Schemas['ImportView'];
export type Venue = Schemas['VenueView'];
export type Roster = Schemas['RosterView'];
export type RollCall = Schemas['RollCallView'];
export type CheckInPage = Schemas['CheckInPageView'];
export type People = Schemas['PeopleView'];
export type Place = Schemas['PlaceView'];
export type Join = Schemas['JoinView'];
export type Intake = Schemas['IntakeView'];
export type LadderChoice = Schemas['LadderChoiceView'];
export type SessionMade = Schemas['SessionMadeView'];
export type SessionPreview = Schemas['SessionPreviewView'];
export type SeasonsMade = Schemas['SeasonsMadeView'];
export type Calendar = Schemas['CalendarView'];
export type MatchTeam = Schemas['MatchTeamView'];
export type Week = Schemas['WeekView'];
export type PlanChange = Schemas['PlanChangeView'];
export type ProgrammeFile = Schemas['DocumentView'];
export type HeadroomGrid = Schemas['HeadroomGridView'];
export type Limits = Schemas['LimitsView'];
export type RuleSetFile = Schemas['DocumentView'];
export type RuleCompare = Schemas['RuleCompareView'];
export type Load = Schemas['LoadView'];
export type DayWork = Schemas['DayWorkView'];
export type WhatIf = Schemas['WhatIfView'];
export type Homework = Schemas['HomeworkView'];
export type LibraryRow = Schemas['LibraryRowView'];
export type LibraryLadder = Schemas['LibraryLadderView'];
export type LibraryFile = Schemas['DocumentView'];
export type LadderImport = Schemas['LadderImportView'];
export type Named = Schemas['NamedView'];
export type Sentences = Schemas['SentencesView'];
export type Gates = Schemas['GatesView'];
export type Scores = Schemas['ScoresView'];
export type HelpedLog = Schemas['HelpedLogView'];
export type Plan = Schemas['PlanView'];
export type Season = Schemas['SeasonView'];
export type Session = Schemas['SessionView'];
export type Token = Schemas['TokenView'];
export type MatchCount = Schemas['MatchCountView'];

/** An answer of the server that is not what was asked for, as it says it itself. */
export class Problem extends Error {
    constructor(
        readonly status: number,
        readonly title: string,
        detail: string,
        /** Messages by the path of the field they are about. */
        readonly errors: Record<string, string[]> = {},
        /** The URI of its kind, which stays when its words change. */
        readonly type: string = 'about:blank',
    ) {
        super(detail);
    }

    /** No answer at all: the server is out of reach. */
    get isOffline(): boolean {
        return this.status === 0;
    }
}

/** Told when the server says that nobody is signed in. */
export const signedOut = new EventTarget();

/** Grows with every sign-in: what was asked before one and is answered after it says nothing about now. */
let signIns = 0;

function csrfToken(): string {
    const cookie = document.cookie.split('; ').find((each) => each.startsWith('XSRF-TOKEN='));
    return cookie ? decodeURIComponent(cookie.slice('XSRF-TOKEN='.length)) : '';
}

/** A request that gets no answer for so long has failed: what it carries is kept and tried again. */
const PATIENCE_MS = 20_000;

type Ways = {
    /** token of a personal link or an invitation, which stands for a sign-in */
    linkToken?: string;
    /** a word that was told apart from the link */
    linkWord?: string;
    withinMs?: number;
    /** what follows the question mark; null: left out */
    query?: Record<string, string | number | null>;
};

/** Asked before anybody is known to be here, or to find out who is. */
const SPEAKS_FOR_NOBODY = ['/api/me', '/api/sign-in', '/api/sign-out', '/sanctum/csrf-cookie'];

/** Asked to find out who is here: an answer that nobody is tells no page that its session has ended. */
const ASKS_WHO_IS_HERE = ['/api/me', '/api/sign-out'];

const headersOf = (
    body: unknown,
    { linkToken, linkWord }: Ways,
    speaksFor: ReturnType<typeof personHere>,
): Record<string, string> => ({
    Accept: 'application/json',
    'X-XSRF-TOKEN': csrfToken(),
    ...(body === undefined ? {} : { 'Content-Type': 'application/json' }),
    ...(linkToken === undefined ? {} : { 'X-Link-Token': linkToken }),
    ...(linkWord ? { 'X-Link-Word': linkWord } : {}),
    ...(speaksFor === null ? {} : { 'X-Augendo-Person': speaksFor.key }),
});

export type Given<M extends Method, Path extends string> =
    Body<M, Path> extends undefined ? [body?: undefined, ways?: Ways] : [body: Body<M, Path>, ways?: Ways];

/** Asks the server. The address says what is answered and what is to be sent along, as docs/openapi.json has it. */
export async function api<M extends Method, const Path extends `/${string}`>(
    method: M,
    path: Path,
    ...[body, ways = {}]: Given<M, Path>
): Promise<Answer<M, Path>> {
    return (await ask(method, path + asQuery(ways.query), body, ways)) as Answer<M, Path>;
}

const asQuery = (given: Ways['query'] = {}): string => {
    const known = Object.entries(given).filter(([, value]) => value !== null);
    return known.length === 0
        ? ''
        : `?${new URLSearchParams(known.map(([name, value]) => [name, String(value)])).toString()}`;
};

async function ask(method: Method, path: string, body: unknown, ways: Ways): Promise<unknown> {
    const { linkToken, withinMs = PATIENCE_MS } = ways;
    let response: Response;
    let text: string;
    const askedAfter = signIns;
    const speaksFor = linkToken === undefined && !SPEAKS_FOR_NOBODY.includes(path) ? personHere() : null;
    try {
        response = await fetch(path, {
            method,
            signal: AbortSignal.timeout(withinMs),
            headers: headersOf(body, ways, speaksFor),
            body: body === undefined ? undefined : JSON.stringify(body),
        });
        text = await response.text();
    } catch {
        throw new Problem(
            0,
            'No connection',
            'The server is out of reach. What you entered is kept on this device and sent when it is back.',
        );
    }
    const answer: unknown = text === '' ? null : safeJson(text);
    if (response.ok) return answer;
    const tellsWhoIsHere = linkToken === undefined && !ASKS_WHO_IS_HERE.includes(path) && askedAfter === signIns;
    throw refusalOf(response.status, answer, tellsWhoIsHere);
}

/** What the server refuses, as it says it itself; a page that speaks for nobody any more is told so. */
function refusalOf(status: number, answer: unknown, tellsWhoIsHere: boolean): Problem {
    const said = (answer ?? {}) as {
        type?: string;
        title?: string;
        detail?: string;
        code?: string;
        errors?: Record<string, string[]>;
    };
    // Another person signed in on this device: this page speaks for nobody any more.
    if (said.code === 'other_person') window.location.reload();
    else if (status === 401 && tellsWhoIsHere) signedOut.dispatchEvent(new Event('signed-out'));
    return new Problem(
        status,
        said.title ?? 'This did not work',
        said.detail ?? `The server answered ${status}.`,
        said.errors,
        said.type,
    );
}

function safeJson(text: string): unknown {
    try {
        return JSON.parse(text);
    } catch {
        return null;
    }
}

/** A token for the first post of a session; later ones come with every answer. */
export const firstToken = (): Promise<unknown> => ask('GET', '/sanctum/csrf-cookie', undefined, {});

export async function signIn(email: string, password: string): Promise<Me> {
    await firstToken();
    const who = await api('POST', '/api/sign-in', { email, password });
    signIns++;
    return who;
}
