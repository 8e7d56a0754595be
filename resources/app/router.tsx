import {
    createRootRoute,
    createRoute,
    createRouter,
    lazyRouteComponent as screen,
    Outlet,
} from '@tanstack/react-router';
import { Frame } from './parts/Frame';
import { later } from './parts/later';

const SignIn = later(async () => (await import('./screens/signin/SignIn')).SignIn);
const SignInScreen = later(async () => (await import('./screens/signin/SignIn')).SignInScreen);

const root = createRootRoute({
    component: Outlet,
    notFoundComponent: () => (
        <p className="p-6">
            There is nothing at this address.{' '}
            <a className="underline" href="/">
                Back to Today
            </a>
        </p>
    ),
});
// Behind a link alone: nobody signs in for these.
const checkIn = createRoute({
    getParentRoute: () => root,
    path: '/check-in',
    component: screen(() => import('./screens/checkin/CheckInScreen'), 'CheckInScreen'),
});
const filmReview = createRoute({
    getParentRoute: () => root,
    path: '/film-review',
    component: screen(() => import('./screens/filmreview/FilmReviewScreen'), 'FilmReviewScreen'),
});
const join = createRoute({
    getParentRoute: () => root,
    path: '/join',
    component: screen(() => import('./screens/join/JoinScreen'), 'JoinScreen'),
});

const frame = createRoute({
    getParentRoute: () => root,
    id: 'frame',
    component: () => <Frame SignIn={SignIn} SignInScreen={SignInScreen} />,
});
const today = createRoute({
    getParentRoute: () => frame,
    path: '/',
    component: screen(() => import('./screens/today/TodayScreen'), 'TodayScreen'),
});
const rollCall = createRoute({
    getParentRoute: () => frame,
    path: '/roll-call',
    component: screen(() => import('./screens/rollcall/RollCallScreen'), 'RollCallScreen'),
});
const team = createRoute({
    getParentRoute: () => frame,
    path: '/matches/$fixtureId',
    component: screen(() => import('./screens/team/TeamScreen'), 'TeamScreen'),
});
const week = createRoute({
    getParentRoute: () => frame,
    path: '/week',
    component: screen(() => import('./screens/week/WeekScreen'), 'WeekScreen'),
});
const athletes = createRoute({
    getParentRoute: () => frame,
    path: '/athletes',
    component: screen(() => import('./screens/athletes/AthletesScreen'), 'AthletesScreen'),
});
const venues = createRoute({
    getParentRoute: () => frame,
    path: '/venues',
    component: screen(() => import('./screens/venues/VenuesScreen'), 'VenuesScreen'),
});
const spreadsheets = createRoute({
    getParentRoute: () => frame,
    path: '/spreadsheets',
    component: screen(() => import('./screens/spreadsheets/SpreadsheetsScreen'), 'SpreadsheetsScreen'),
});
const spreadsheet = createRoute({
    getParentRoute: () => frame,
    path: '/spreadsheets/$importId',
    component: screen(() => import('./screens/spreadsheets/SpreadsheetScreen'), 'SpreadsheetScreen'),
});
const sheet = createRoute({
    getParentRoute: () => frame,
    path: '/sheets/$sheetId',
    component: screen(() => import('./screens/sheet/SheetScreen'), 'SheetScreen'),
});
const courtside = createRoute({
    getParentRoute: () => frame,
    path: '/sheets/$sheetId/courtside',
    component: screen(() => import('./screens/courtside/CourtsideScreen'), 'CourtsideScreen'),
});
const line = createRoute({
    getParentRoute: () => frame,
    path: '/sheets/$sheetId/line',
    component: screen(() => import('./screens/courtside/line/LineScreen'), 'LineScreen'),
});
const after = createRoute({
    getParentRoute: () => frame,
    path: '/sheets/$sheetId/after',
    component: screen(() => import('./screens/after/AfterScreen'), 'AfterScreen'),
});
const squadAfter = createRoute({
    getParentRoute: () => frame,
    path: '/sessions/$sessionId/after',
    component: screen(() => import('./screens/after/SquadAfterScreen'), 'SquadAfterScreen'),
});
const paper = createRoute({
    getParentRoute: () => frame,
    path: '/sessions/$sessionId/paper',
    component: screen(() => import('./screens/paper/PaperScreen'), 'PaperScreen'),
});
const brief = createRoute({
    getParentRoute: () => frame,
    path: '/sessions/$sessionId/brief',
    component: screen(() => import('./screens/brief/BriefScreen'), 'BriefScreen'),
});
const squadHomework = createRoute({
    getParentRoute: () => frame,
    path: '/sessions/$sessionId/homework',
    component: screen(() => import('./screens/homework/SquadHomeworkScreen'), 'SquadHomeworkScreen'),
});
const clock = createRoute({
    getParentRoute: () => frame,
    path: '/sessions/$sessionId/clock',
    component: screen(() => import('./screens/clock/ClockScreen'), 'ClockScreen'),
});
const athlete = createRoute({
    getParentRoute: () => frame,
    path: '/athletes/$athleteId',
    component: screen(() => import('./screens/athlete/AthleteScreen'), 'AthleteScreen'),
});
const intake = createRoute({
    getParentRoute: () => frame,
    path: '/athletes/$athleteId/intake',
    component: screen(() => import('./screens/intake/IntakeScreen'), 'IntakeScreen'),
});
const match = createRoute({
    getParentRoute: () => frame,
    path: '/athletes/$athleteId/match',
    component: screen(() => import('./screens/match/MatchScreen'), 'MatchScreen'),
});
const scores = createRoute({
    getParentRoute: () => frame,
    path: '/athletes/$athleteId/scores',
    component: screen(() => import('./screens/scores/ScoresScreen'), 'ScoresScreen'),
});
const helped = createRoute({
    getParentRoute: () => frame,
    path: '/athletes/$athleteId/what-helped',
    component: screen(() => import('./screens/helped/HelpedScreen'), 'HelpedScreen'),
});
const squadSchools = createRoute({
    getParentRoute: () => frame,
    path: '/squads/$squadId/schools',
    component: screen(() => import('./screens/schools/SchoolsScreen'), 'SquadSchoolsScreen'),
});
const athleteSchools = createRoute({
    getParentRoute: () => frame,
    path: '/athletes/$athleteId/schools',
    component: screen(() => import('./screens/schools/SchoolsScreen'), 'AthleteSchoolsScreen'),
});
const squadHelped = createRoute({
    getParentRoute: () => frame,
    path: '/squads/$squadId/what-helped',
    component: screen(() => import('./screens/helped/HelpedScreen'), 'SquadHelpedScreen'),
});
const grips = createRoute({
    getParentRoute: () => frame,
    path: '/athletes/$athleteId/grips',
    component: screen(() => import('./screens/grips/GripsScreen'), 'GripsScreen'),
});
const gates = createRoute({
    getParentRoute: () => frame,
    path: '/gates',
    component: screen(() => import('./screens/gates/GatesScreen'), 'GatesScreen'),
});
const library = createRoute({
    getParentRoute: () => frame,
    path: '/library',
    component: screen(() => import('./screens/library/LibraryScreen'), 'LibraryScreen'),
});
const drills = createRoute({
    getParentRoute: () => frame,
    path: '/library/drills',
    component: screen(() => import('./screens/drills/DrillsScreen'), 'DrillsScreen'),
});
const flight = createRoute({
    getParentRoute: () => frame,
    path: '/library/flight',
    component: screen(() => import('./screens/flight/FlightScreen'), 'FlightScreen'),
});
const sizes = createRoute({
    getParentRoute: () => frame,
    path: '/library/sizes',
    component: screen(() => import('./screens/sizes/SizesScreen'), 'SizesScreen'),
});
const ladder = createRoute({
    getParentRoute: () => frame,
    path: '/library/$ladderId',
    component: screen(() => import('./screens/library/LibraryScreen'), 'LadderPage'),
});
const ladderCompare = createRoute({
    getParentRoute: () => frame,
    path: '/library/$ladderId/compare',
    component: screen(() => import('./screens/library/CompareScreen'), 'CompareScreen'),
});
const ladderEdit = createRoute({
    getParentRoute: () => frame,
    path: '/library/$ladderId/edit',
    component: screen(() => import('./screens/library/LadderEditor'), 'LadderEditScreen'),
});
const plan = createRoute({
    getParentRoute: () => frame,
    path: '/plan',
    component: screen(() => import('./screens/plan/PlanScreen'), 'PlanScreen'),
});
const calendar = createRoute({
    getParentRoute: () => frame,
    path: '/calendar',
    component: screen(() => import('./screens/calendar/CalendarScreen'), 'CalendarScreen'),
});
const newSeason = createRoute({
    getParentRoute: () => frame,
    path: '/athletes/$athleteId/season',
    component: screen(() => import('./screens/season/SeasonScreen'), 'NewSeasonScreen'),
});
const skills = createRoute({
    getParentRoute: () => frame,
    path: '/athletes/$athleteId/skills',
    component: screen(() => import('./screens/skills/SkillsScreen'), 'SkillsScreen'),
});
const film = createRoute({
    getParentRoute: () => frame,
    path: '/athletes/$athleteId/film',
    component: screen(() => import('./screens/film/FilmScreen'), 'FilmScreen'),
});
const devices = createRoute({
    getParentRoute: () => frame,
    path: '/devices',
    component: screen(() => import('./screens/devices/DevicesScreen'), 'DevicesScreen'),
});
const readings = createRoute({
    getParentRoute: () => frame,
    path: '/sessions/$sessionId/readings',
    component: screen(() => import('./screens/readings/ReadingsScreen'), 'ReadingsScreen'),
});
const serve = createRoute({
    getParentRoute: () => frame,
    path: '/athletes/$athleteId/serve',
    component: screen(() => import('./screens/serve/ServeScreen'), 'ServeScreen'),
});
const tests = createRoute({
    getParentRoute: () => frame,
    path: '/athletes/$athleteId/tests',
    component: screen(() => import('./screens/tests/TestsScreen'), 'TestsScreen'),
});
const season = createRoute({
    getParentRoute: () => frame,
    path: '/seasons/$seasonId',
    component: screen(() => import('./screens/season/SeasonScreen'), 'SeasonScreen'),
});
const session = createRoute({
    getParentRoute: () => frame,
    path: '/sessions/$sessionId',
    component: screen(() => import('./screens/session/SessionScreen'), 'SessionScreen'),
});
const homework = createRoute({
    getParentRoute: () => frame,
    path: '/athletes/$athleteId/homework',
    component: screen(() => import('./screens/homework/HomeworkScreen'), 'HomeworkScreen'),
});
const load = createRoute({
    getParentRoute: () => frame,
    path: '/athletes/$athleteId/load',
    component: screen(() => import('./screens/load/LoadScreen'), 'LoadScreen'),
});
const returns = createRoute({
    getParentRoute: () => frame,
    path: '/returns',
    component: screen(() => import('./screens/returns/ReturnsScreen'), 'ReturnsScreen'),
});
const programmes = createRoute({
    getParentRoute: () => frame,
    path: '/programmes',
    component: screen(() => import('./screens/returns/ProgrammesScreen'), 'ProgrammesScreen'),
});
const playReturn = createRoute({
    getParentRoute: () => frame,
    path: '/returns/$returnId',
    component: screen(() => import('./screens/returns/ReturnScreen'), 'ReturnScreen'),
});
const limits = createRoute({
    getParentRoute: () => frame,
    path: '/limits',
    component: screen(() => import('./screens/limits/LimitsScreen'), 'LimitsScreen'),
});
const ruleSets = createRoute({
    getParentRoute: () => frame,
    path: '/rule-sets',
    component: screen(() => import('./screens/limits/RuleSetsScreen'), 'RuleSetsScreen'),
});
const people = createRoute({
    getParentRoute: () => frame,
    path: '/people',
    component: screen(() => import('./screens/people/PeopleScreen'), 'PeopleScreen'),
});

// Each screen is fetched when it is asked for, or pointed at; courtside has them all on the device (vite.config.ts).
const phone = createRoute({
    getParentRoute: () => frame,
    path: '/phone',
    component: screen(() => import('./screens/phone/PhoneScreen'), 'PhoneScreen'),
});

export const router = createRouter({
    defaultPreload: 'intent',
    routeTree: root.addChildren([
        checkIn,
        filmReview,
        join,
        frame.addChildren([
            today,
            rollCall,
            athletes,
            venues,
            spreadsheets,
            spreadsheet,
            team,
            week,
            sheet,
            courtside,
            line,
            after,
            squadAfter,
            paper,
            clock,
            brief,
            squadHomework,
            athlete,
            match,
            intake,
            homework,
            load,
            helped,
            squadSchools,
            squadHelped,
            athleteSchools,
            scores,
            gates,
            grips,
            library,
            drills,
            flight,
            sizes,
            ladder,
            ladderEdit,
            ladderCompare,
            calendar,
            plan,
            newSeason,
            season,
            skills,
            tests,
            film,
            serve,
            devices,
            readings,
            session,
            returns,
            programmes,
            playReturn,
            limits,
            ruleSets,
            people,
            phone,
        ]),
    ]),
});

declare module '@tanstack/react-router' {
    interface Register {
        router: typeof router;
    }
}
