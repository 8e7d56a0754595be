import { createRootRoute, createRoute, createRouter, Outlet } from '@tanstack/react-router';
import { Frame } from './parts/Frame';
import { AfterScreen } from './screens/after/AfterScreen';
import { AthleteScreen } from './screens/athlete/AthleteScreen';
import { CheckInScreen } from './screens/checkin/CheckInScreen';
import { CourtsideScreen } from './screens/courtside/CourtsideScreen';
import { GatesScreen } from './screens/gates/GatesScreen';
import { HelpedScreen } from './screens/helped/HelpedScreen';
import { HomeworkScreen } from './screens/homework/HomeworkScreen';
import { IntakeScreen } from './screens/intake/IntakeScreen';
import { LadderEditScreen } from './screens/library/LadderEditor';
import { LadderPage, LibraryScreen } from './screens/library/LibraryScreen';
import { LimitsScreen } from './screens/limits/LimitsScreen';
import { RuleSetsScreen } from './screens/limits/RuleSetsScreen';
import { JoinScreen } from './screens/join/JoinScreen';
import { PlanScreen } from './screens/plan/PlanScreen';
import { MatchScreen } from './screens/match/MatchScreen';
import { PeopleScreen } from './screens/people/PeopleScreen';
import { ProgrammesScreen } from './screens/returns/ProgrammesScreen';
import { ReturnScreen } from './screens/returns/ReturnScreen';
import { ReturnsScreen } from './screens/returns/ReturnsScreen';
import { RollCallScreen } from './screens/rollcall/RollCallScreen';
import { LoadScreen } from './screens/load/LoadScreen';
import { ScoresScreen } from './screens/scores/ScoresScreen';
import { NewSeasonScreen, SeasonScreen } from './screens/season/SeasonScreen';
import { SessionScreen } from './screens/session/SessionScreen';
import { SheetScreen } from './screens/sheet/SheetScreen';
import { SignIn, SignInScreen } from './screens/signin/SignIn';
import { TodayScreen } from './screens/today/TodayScreen';

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
const checkIn = createRoute({ getParentRoute: () => root, path: '/check-in', component: CheckInScreen });
const join = createRoute({ getParentRoute: () => root, path: '/join', component: JoinScreen });

const frame = createRoute({
    getParentRoute: () => root,
    id: 'frame',
    component: () => <Frame SignIn={SignIn} SignInScreen={SignInScreen} />,
});
const today = createRoute({ getParentRoute: () => frame, path: '/', component: TodayScreen });
const rollCall = createRoute({ getParentRoute: () => frame, path: '/roll-call', component: RollCallScreen });
const sheet = createRoute({ getParentRoute: () => frame, path: '/sheets/$sheetId', component: SheetScreen });
const courtside = createRoute({
    getParentRoute: () => frame,
    path: '/sheets/$sheetId/courtside',
    component: CourtsideScreen,
});
const after = createRoute({ getParentRoute: () => frame, path: '/sheets/$sheetId/after', component: AfterScreen });
const athlete = createRoute({ getParentRoute: () => frame, path: '/athletes/$athleteId', component: AthleteScreen });
const intake = createRoute({
    getParentRoute: () => frame,
    path: '/athletes/$athleteId/intake',
    component: IntakeScreen,
});
const match = createRoute({ getParentRoute: () => frame, path: '/athletes/$athleteId/match', component: MatchScreen });
const scores = createRoute({
    getParentRoute: () => frame,
    path: '/athletes/$athleteId/scores',
    component: ScoresScreen,
});
const helped = createRoute({
    getParentRoute: () => frame,
    path: '/athletes/$athleteId/what-helped',
    component: HelpedScreen,
});
const gates = createRoute({ getParentRoute: () => frame, path: '/gates', component: GatesScreen });
const library = createRoute({ getParentRoute: () => frame, path: '/library', component: LibraryScreen });
const ladder = createRoute({ getParentRoute: () => frame, path: '/library/$ladderId', component: LadderPage });
const ladderEdit = createRoute({
    getParentRoute: () => frame,
    path: '/library/$ladderId/edit',
    component: LadderEditScreen,
});
const plan = createRoute({ getParentRoute: () => frame, path: '/plan', component: PlanScreen });
const newSeason = createRoute({
    getParentRoute: () => frame,
    path: '/athletes/$athleteId/season',
    component: NewSeasonScreen,
});
const season = createRoute({ getParentRoute: () => frame, path: '/seasons/$seasonId', component: SeasonScreen });
const session = createRoute({ getParentRoute: () => frame, path: '/sessions/$sessionId', component: SessionScreen });
const homework = createRoute({
    getParentRoute: () => frame,
    path: '/athletes/$athleteId/homework',
    component: HomeworkScreen,
});
const load = createRoute({ getParentRoute: () => frame, path: '/athletes/$athleteId/load', component: LoadScreen });
const returns = createRoute({ getParentRoute: () => frame, path: '/returns', component: ReturnsScreen });
const programmes = createRoute({ getParentRoute: () => frame, path: '/programmes', component: ProgrammesScreen });
const playReturn = createRoute({ getParentRoute: () => frame, path: '/returns/$returnId', component: ReturnScreen });
const limits = createRoute({ getParentRoute: () => frame, path: '/limits', component: LimitsScreen });
const ruleSets = createRoute({ getParentRoute: () => frame, path: '/rule-sets', component: RuleSetsScreen });
const people = createRoute({ getParentRoute: () => frame, path: '/people', component: PeopleScreen });

export const router = createRouter({
    routeTree: root.addChildren([
        checkIn,
        join,
        frame.addChildren([
            today,
            rollCall,
            sheet,
            courtside,
            after,
            athlete,
            match,
            intake,
            homework,
            load,
            helped,
            scores,
            gates,
            library,
            ladder,
            ladderEdit,
            plan,
            newSeason,
            season,
            session,
            returns,
            programmes,
            playReturn,
            limits,
            ruleSets,
            people,
        ]),
    ]),
});

declare module '@tanstack/react-router' {
    interface Register {
        router: typeof router;
    }
}
