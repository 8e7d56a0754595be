import { createRootRoute, createRoute, createRouter } from '@tanstack/react-router';
import { Frame } from './parts/Frame';
import { AfterScreen } from './screens/after/AfterScreen';
import { AthleteScreen } from './screens/athlete/AthleteScreen';
import { CourtsideScreen } from './screens/courtside/CourtsideScreen';
import { SheetScreen } from './screens/sheet/SheetScreen';
import { SignIn, SignInScreen } from './screens/signin/SignIn';
import { TodayScreen } from './screens/today/TodayScreen';

const root = createRootRoute({ component: () => <Frame SignIn={SignIn} SignInScreen={SignInScreen} />, notFoundComponent: () => <p className="p-6">There is nothing at this address. <a className="underline" href="/">Back to Today</a></p> });
const today = createRoute({ getParentRoute: () => root, path: '/', component: TodayScreen });
const sheet = createRoute({ getParentRoute: () => root, path: '/sheets/$sheetId', component: SheetScreen });
const courtside = createRoute({ getParentRoute: () => root, path: '/sheets/$sheetId/courtside', component: CourtsideScreen });
const after = createRoute({ getParentRoute: () => root, path: '/sheets/$sheetId/after', component: AfterScreen });
const athlete = createRoute({ getParentRoute: () => root, path: '/athletes/$athleteId', component: AthleteScreen });

export const router = createRouter({ routeTree: root.addChildren([today, sheet, courtside, after, athlete]) });

declare module '@tanstack/react-router' {
    interface Register {
        router: typeof router;
    }
}
