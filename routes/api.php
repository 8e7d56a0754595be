<?php

use App\Athletes\AthleteController;
use App\Athletes\IntakeController;
use App\Athletes\MeasurementController;
use App\Athletes\RosterController;
use App\Athletes\TestsController;
use App\Courtside\LineController;
use App\Courtside\SheetController;
use App\Devices\DeviceController;
use App\Film\FilmController;
use App\Flight\FlightController;
use App\Gates\GatesController;
use App\Gates\GripsController;
use App\Health\AwayController;
use App\Health\RollCallController;
use App\Http\FromThePage;
use App\Library\LibraryController;
use App\Library\SchoolsController;
use App\Library\SizesController;
use App\Limits\LimitsController;
use App\People\LinkController;
use App\People\PeopleController;
use App\People\SamePerson;
use App\People\SignInController;
use App\Returns\ProgrammeController;
use App\Returns\ReturnController;
use App\Seasons\PlanController;
use App\Seasons\SkillsController;
use App\Sessions\CalendarController;
use App\Sessions\SessionController;
use App\Sessions\TodayController;
use App\Sessions\VenueController;
use App\Spreadsheets\ImportController;
use Illuminate\Support\Facades\Route;

Route::post('sign-in', [SignInController::class, 'signIn'])->middleware(FromThePage::class);

// What a link alone opens: a personal check-in page, an invitation, a new password.
Route::middleware('throttle:links')->prefix('link')->controller(LinkController::class)->group(function (): void {
    Route::get('check-in', 'checkIn');
    Route::post('check-in', 'report');
    Route::post('practice', 'practice');
    Route::post('elsewhere', 'elsewhere');
    Route::post('work-beside', 'workBeside');
    Route::post('film', 'film');
    Route::put('shows-scores', 'showScores');
    Route::put('film-clips/{clip}/parts/{no}', 'filmClipPart')->whereUuid('clip')->where('no', '[0-9]{1,2}')
        ->withoutMiddleware('throttle:links')->middleware('throttle:clip-parts');
    Route::post('film-clips/{clip}', 'filmClip')->whereUuid('clip');
    Route::get('film-review', 'filmReview');
    Route::post('film-review/opened', 'filmReviewOpened');
    Route::post('film-review/looks', 'filmReviewLooks');
    Route::get('entry', 'look');
    Route::post('entry', 'join')->middleware(FromThePage::class);
});

// A device speaks for itself, with its own token.
Route::post('readings', [DeviceController::class, 'take'])->middleware('throttle:devices');

Route::middleware(['auth:sanctum', SamePerson::class])->group(function (): void {
    Route::post('sign-out', [SignInController::class, 'signOut'])->middleware(FromThePage::class);
    Route::get('me', [SignInController::class, 'me']);
    Route::get('today', [TodayController::class, 'show']);
    Route::get('today/rows', [TodayController::class, 'rows']);
    Route::post('me/missing-counts', [SheetController::class, 'missing']);
    Route::get('me/places', [PeopleController::class, 'places'])->middleware(FromThePage::class);
    Route::post('me/calendar-link', [PeopleController::class, 'calendarLink']);
    Route::post('me/pace', [PeopleController::class, 'pace']);
    Route::post('me/places/end-others', [PeopleController::class, 'endOthers'])->middleware(FromThePage::class);
    Route::get('roll-call', [RollCallController::class, 'show']);
    Route::post('reports/{report}/withdraw', [RollCallController::class, 'withdraw']);
    Route::middleware('can:manage-people')->prefix('people')->controller(PeopleController::class)->group(function (): void {
        Route::get('', 'show');
        Route::post('settings', 'settings');
        Route::post('invitations', 'invite');
        Route::post('{person}/new-password', 'newPassword');
        Route::post('{person}/close', 'close');
        Route::post('{person}/hand-over', 'handOver');
        Route::post('{person}/confirm', 'confirm');
        Route::post('links/{link}/revoke', 'revoke');
    });
    Route::middleware('can:manage-people')->controller(ImportController::class)->group(function (): void {
        Route::get('imports', 'index');
        Route::post('imports', 'open');
        Route::prefix('imports/{import}')->whereUuid('import')->group(function (): void {
            Route::get('', 'show')->can('view', 'import');
            Route::get('rows', 'rows')->can('view', 'import');
            Route::put('parts/{no}', 'part')->where('no', '[0-9]{1,2}')->can('change', 'import');
            Route::put('choices', 'choose')->can('change', 'import');
            Route::post('take', 'take')->can('change', 'import');
            Route::post('take-back', 'takeBack')->can('change', 'import');
            Route::post('drop', 'drop')->can('change', 'import');
        });
    });
    Route::get('export.zip', [IntakeController::class, 'exportClub'])->can('manage-people');
    Route::get('limits', [LimitsController::class, 'show']);
    Route::get('rule-sets', [LimitsController::class, 'ruleSets']);
    Route::post('rule-sets', [LimitsController::class, 'saveRuleSet'])->can('manage-people');
    Route::post('squads/{squad}/rule-set/compare', [LimitsController::class, 'compare'])->can('manage', 'squad');
    Route::put('squads/{squad}/rule-set', [LimitsController::class, 'assign'])->can('manage', 'squad');
    Route::get('ladders', [RosterController::class, 'ladders']);
    Route::get('objects', [RosterController::class, 'objects']);
    Route::get('skills', [RosterController::class, 'skills']);
    Route::get('athletes', [RosterController::class, 'index']);
    Route::post('squads', [RosterController::class, 'addSquad'])->can('manage-people');
    Route::prefix('squads/{squad}')->controller(RosterController::class)->group(function (): void {
        Route::put('', 'changeSquad')->can('manage', 'squad');
        Route::post('archive', 'archive')->can('manage', 'squad');
        Route::post('athletes', 'addAthlete')->can('manage', 'squad');
    });
    Route::middleware('can:manage-people')->prefix('devices')->controller(DeviceController::class)->group(function (): void {
        Route::get('', 'index');
        Route::put('', 'keep');
        Route::get('outside', 'outside');
        Route::post('outside', 'sayOutside');
        Route::post('{device}/lend', 'lend')->whereUuid('device')->can('change', 'device');
        Route::post('{device}/revoke', 'revoke')->whereUuid('device')->can('change', 'device');
    });
    Route::get('sessions/{session}/readings', [DeviceController::class, 'readings'])->can('plan', 'session');
    Route::post('sessions/{session}/readings', [DeviceController::class, 'say'])->can('plan', 'session');
    Route::get('venues', [VenueController::class, 'index']);
    Route::put('venues', [VenueController::class, 'keep'])->can('manage-people');
    Route::post('venues/{venue}/remove', [VenueController::class, 'remove'])
        ->whereUuid('venue')
        ->can('manage-people')
        ->can('change', 'venue');
    Route::get('calendar', [CalendarController::class, 'show']);
    Route::get('week', [CalendarController::class, 'week']);
    Route::prefix('squads/{squad}/sessions')->controller(CalendarController::class)->group(function (): void {
        Route::post('', 'plan')->can('manage', 'squad');
        Route::post('preview', 'preview')->can('manage', 'squad');
        Route::post('copy-week', 'copyWeek')->can('manage', 'squad');
    });
    Route::prefix('sessions/{session}')->controller(CalendarController::class)->group(function (): void {
        Route::post('change', 'change')->can('change', 'session');
        Route::post('call-off', 'callOff')->can('change', 'session');
        // A walk-in is let in by whoever runs the session.
        Route::post('athletes', 'join')->can('plan', 'session');
        Route::post('athletes/take-out', 'takeOut')->can('change', 'session');
        Route::post('close', 'close')->can('change', 'session');
    });
    Route::post('session-changes/{change}/take-back', [CalendarController::class, 'takeBack'])->can('takeBack', 'change');
    Route::prefix('flight')->controller(FlightController::class)->group(function (): void {
        Route::get('balls', 'balls');
        Route::get('courts', 'courts');
        Route::post('balls', 'saveBalls')->can('manage-people');
        Route::post('courts', 'saveCourts')->can('manage-people');
    });
    Route::get('sizes', [SizesController::class, 'ofClub']);
    Route::post('sizes', [SizesController::class, 'save'])->can('manage-people');
    Route::get('library', [LibraryController::class, 'all']);
    Route::get('drills', [LibraryController::class, 'drills']);
    Route::get('pictures', [LibraryController::class, 'pictures']);
    Route::get('club-drills', [LibraryController::class, 'clubDrills']);
    Route::post('club-drills', [LibraryController::class, 'saveDrill'])->can('manage-people');
    Route::get('library/{ladder}', [LibraryController::class, 'ladder']);
    Route::get('library/{ladder}/definition', [LibraryController::class, 'definition']);
    Route::get('library/{ladder}/compare', [LibraryController::class, 'compare']);
    Route::post('library/{ladder}/take', [LibraryController::class, 'take'])->can('manage-people');
    Route::post('library', [LibraryController::class, 'save'])->can('manage-people');
    Route::post('library/preview', [LibraryController::class, 'preview'])->middleware('throttle:60,1');
    Route::post('library/let-through', [LibraryController::class, 'letThrough'])->middleware('throttle:30,1');
    Route::post('library/import', [LibraryController::class, 'import'])->can('manage-people');
    Route::post('squads/{squad}/ladders/{ladder}', [LibraryController::class, 'adopt'])->can('manage', 'squad');
    Route::get('gates', GatesController::class);
    Route::get('plan', [PlanController::class, 'show']);
    Route::get('squads/{squad}/what-helped', [GatesController::class, 'helped'])->can('manage', 'squad');
    Route::get('squads/{squad}/schools', [SchoolsController::class, 'ofSquad'])->can('manage', 'squad');
    Route::put('squads/{squad}/schools', [SchoolsController::class, 'chooseForSquad'])->can('manage', 'squad');
    Route::post('squads/{squad}/fixtures', [PlanController::class, 'addFixture'])->can('manage', 'squad');
    Route::post('squads/{squad}/seasons', [PlanController::class, 'openForSquad'])->can('manage', 'squad');
    Route::get('fixtures/{fixture}/team', [PlanController::class, 'team'])->can('count', 'fixture');
    Route::put('fixtures/{fixture}/line-up', [PlanController::class, 'lineUp'])->can('remove', 'fixture');
    Route::post('fixtures/{fixture}/remove', [PlanController::class, 'removeFixture'])->can('remove', 'fixture');
    Route::prefix('sessions/{session}')->controller(SessionController::class)->group(function (): void {
        Route::get('', 'show')->can('view', 'session');
        Route::post('preview', 'preview')->can('plan', 'session');
        Route::put('', 'keep')->can('plan', 'session');
        Route::put('floor', 'floor')->can('plan', 'session');
        Route::post('undo', 'undo')->can('plan', 'session');
        Route::get('brief', 'brief')->can('plan', 'session');
        Route::put('note', 'note')->can('plan', 'session');
        Route::get('pick-ups', 'pickUps')->can('plan', 'session');
        Route::put('pick-ups', 'pickUp')->can('plan', 'session');
    });
    Route::prefix('sessions/{session}')->controller(LineController::class)->group(function (): void {
        Route::get('heard', 'heard')->can('plan', 'session');
        Route::post('finish', 'finish')->can('plan', 'session');
        Route::get('after', 'after')->can('plan', 'session');
        Route::get('paper', 'paper')->can('change', 'session');
        Route::post('decisions', 'decide')->can('change', 'session');
    });
    Route::prefix('seasons/{season}')->controller(PlanController::class)->group(function (): void {
        Route::get('', 'season')->can('view', 'season');
        Route::post('preview', 'preview')->can('plan', 'season');
        Route::put('', 'change')->can('plan', 'season');
        Route::post('close', 'close')->can('plan', 'season');
    });
    Route::get('programmes', [ProgrammeController::class, 'show']);
    Route::post('programmes', [ProgrammeController::class, 'save'])->can('manage-people');
    Route::get('returns', [ReturnController::class, 'board']);
    Route::prefix('returns/{return}')->controller(ReturnController::class)->group(function (): void {
        Route::get('', 'show')->can('view', 'return');
        Route::post('clearances', 'clear')->can('clear', 'return');
        Route::post('measures', 'measure')->can('clear', 'return');
        Route::post('accept', 'accept')->can('decide', 'return');
        Route::post('attempts/{attempt}/morning', 'morning')->can('record', 'return');
        Route::post('sheets', 'plan')->can('decide', 'return');
        Route::post('close', 'close')->can('decide', 'return');
    });

    Route::prefix('athletes/{athlete}')->controller(FlightController::class)->group(function (): void {
        Route::get('throw-check', 'throwCheck')->can('view', 'athlete');
        Route::get('serve-window', 'serve')->can('view', 'athlete');
        Route::post('serve-target', 'target')->can('decide', 'athlete');
    });

    // Who may is settled before anything sent is looked at, so that a refusal tells nothing.
    Route::prefix('athletes/{athlete}')->controller(AthleteController::class)->group(function (): void {
        Route::get('', 'show')->can('view', 'athlete');
        Route::get('limits/{limit}', 'why')->can('view', 'athlete');
        Route::get('headroom', 'headroom')->can('view', 'athlete');
        Route::get('load', 'load')->can('view', 'athlete');
        Route::get('days/{day}', 'day')->can('view', 'athlete');
        Route::get('what-if', 'whatIf')->can('view', 'athlete');
        Route::get('homework', 'homework')->can('view', 'athlete');
        Route::get('scores', 'scores')->can('view', 'athlete');
        Route::get('match', 'match')->can('record', 'athlete');
        Route::get('what-helped', 'helped')->can('view', 'athlete');
        Route::get('grips', [GripsController::class, 'show'])->can('view', 'athlete');
        Route::post('grips', [GripsController::class, 'add'])->can('record', 'athlete');
        Route::post('grips/{id}/withdraw', [GripsController::class, 'withdraw'])->whereUuid('id')->can('record', 'athlete');
        Route::post('scores', 'score')->can('record', 'athlete');
        Route::post('scores/{score}/withdraw', 'withdrawScore')->whereUuid('score')->can('record', 'athlete');
        Route::post('logged-work', 'logWork')->can('logWork', 'athlete');
        Route::post('logged-work/{entry}/take-back', 'takeBackWork')->can('logWork', 'athlete');
        Route::post('weeks-elsewhere', 'tellWeekElsewhere')->can('logWork', 'athlete');
        Route::post('work-beside', 'tellWorkBeside')->can('logWork', 'athlete');
        Route::post('reports', 'report')->can('report', 'athlete');
        Route::post('clearances', 'clear')->can('clear', 'athlete');
        Route::post('decisions', 'decide')->can('decide', 'athlete');
        Route::post('decisions/{decision}/second-look', 'secondLook')->whereUuid('decision')->can('decide', 'athlete');
    });
    Route::prefix('athletes/{athlete}')->group(function (): void {
        Route::put('', [RosterController::class, 'changeAthlete'])->can('decide', 'athlete');
        Route::put('squads', [RosterController::class, 'move'])->can('decide', 'athlete');
        Route::post('retire', [RosterController::class, 'retire'])->can('decide', 'athlete');
        Route::post('come-back', [RosterController::class, 'comeBack'])->can('decide', 'athlete');
        Route::get('tests', [TestsController::class, 'show'])->can('view', 'athlete');
        Route::post('tests/measures', [TestsController::class, 'measure'])->can('decide', 'athlete');
        Route::post('tests/measures/{id}/withdraw', [TestsController::class, 'withdraw'])->whereUuid('id')
            ->can('decide', 'athlete');
        Route::get('film', [FilmController::class, 'show'])->can('view', 'athlete');
        Route::post('film/consents', [FilmController::class, 'agree'])->can('agreeToFilm', 'athlete');
        Route::post('film/consents/{consent}/withdraw', [FilmController::class, 'withdrawConsent'])->whereUuid('consent')
            ->can('agreeToFilm', 'athlete');
        Route::get('film/pictures/{picture}', [FilmController::class, 'picture'])->whereUuid('picture')->can('view', 'athlete');
        Route::post('film/asked-clips', [FilmController::class, 'askForClip'])->can('decide', 'athlete');
        Route::get('film/asked-clips/{asked}', [FilmController::class, 'sentClip'])->whereUuid('asked')->can('decide', 'athlete');
        Route::post('film/asked-clips/{asked}/keep', [FilmController::class, 'keepSentClip'])->whereUuid('asked')
            ->can('decide', 'athlete');
        Route::post('film/asked-clips/{asked}/end', [FilmController::class, 'endAskedClip'])->whereUuid('asked')
            ->can('decide', 'athlete');
        Route::post('film/reviews', [FilmController::class, 'review'])->can('decide', 'athlete');
        Route::post('film/reviews/{review}/withdraw', [FilmController::class, 'withdrawReview'])->whereUuid('review')
            ->can('decide', 'athlete');
        Route::post('film/clips', [FilmController::class, 'keep'])->can('record', 'athlete');
        Route::post('film/clips/{clip}/withdraw', [FilmController::class, 'withdraw'])->whereUuid('clip')->can('decide', 'athlete');
        Route::post('marks', [MeasurementController::class, 'mark'])->can('decide', 'athlete');
        Route::post(
            'marks/{id}/confirm',
            [MeasurementController::class, 'confirmMark'],
        )->where('id', '[0-9]{1,15}')->can('decide', 'athlete');
        Route::post(
            'marks/{id}/withdraw',
            [MeasurementController::class, 'withdrawMark'],
        )->where('id', '[0-9]{1,15}')->can('decide', 'athlete');
        Route::post('placements', [RosterController::class, 'place'])->can('decide', 'athlete');
        Route::post('placing/{ladder}/start', [RosterController::class, 'startPlacing'])->can('decide', 'athlete');
        Route::post('placing/{ladder}/on', [RosterController::class, 'goOnPlacing'])->can('decide', 'athlete');
        Route::post('placements/{ladder}/leave', [RosterController::class, 'leave'])->can('decide', 'athlete');
        Route::post('missing-counts/give-up', [SheetController::class, 'giveUpMissing'])->can('decide', 'athlete');
        Route::post('limit-shares', [LimitsController::class, 'share'])->can('decide', 'athlete');
        Route::get('schools', [SchoolsController::class, 'ofAthlete'])->can('decide', 'athlete');
        Route::put('schools', [SchoolsController::class, 'chooseForAthlete'])->can('decide', 'athlete');
        Route::get('skills', [SkillsController::class, 'show'])->can('view', 'athlete');
        Route::post('skills/draft', [SkillsController::class, 'draft'])->can('decide', 'athlete');
        Route::put('skills', [SkillsController::class, 'keep'])->can('decide', 'athlete');
        Route::post('seasons/draft', [PlanController::class, 'draft'])->can('decide', 'athlete');
        Route::post('seasons', [PlanController::class, 'open'])->can('decide', 'athlete');
        Route::post('wellness', [IntakeController::class, 'wellness'])->can('report', 'athlete');
        Route::get('programmes', [ReturnController::class, 'openable'])->can('clear', 'athlete');
        Route::post('returns', [ReturnController::class, 'open'])->can('clear', 'athlete');
        Route::get('intake', [IntakeController::class, 'show'])->can('view', 'athlete');
        Route::get('collectors', [IntakeController::class, 'collectors'])->can('view', 'athlete');
        Route::put('collectors', [IntakeController::class, 'nameCollectors'])->can('nameCollectors', 'athlete');
        Route::put('intake', [IntakeController::class, 'save'])->can('decide', 'athlete');
        Route::post('intake/usual-week/confirm', [IntakeController::class, 'confirmUsualWeek'])->can('decide', 'athlete');
        Route::put('sizes', [SizesController::class, 'choose'])->can('decide', 'athlete');
        Route::post('hand-spans', [MeasurementController::class, 'handSpan'])->can('record', 'athlete');
        Route::post('hand-spans/{id}/withdraw', [MeasurementController::class, 'withdrawHandSpan'])
            ->whereUuid('id')
            ->can('record', 'athlete');
        Route::post('heights', [MeasurementController::class, 'height'])->can('record', 'athlete');
        Route::post('heights/{id}/confirm', [MeasurementController::class, 'confirmHeight'])->whereUuid('id')->can('record', 'athlete');
        Route::post('heights/{id}/withdraw', [MeasurementController::class, 'withdrawHeight'])->whereUuid('id')->can('record', 'athlete');
        Route::post('conditions', [IntakeController::class, 'condition'])->can('setCondition', 'athlete');
        Route::controller(AwayController::class)->scopeBindings()->group(function (): void {
            Route::get('away-and-hurt', 'show')->can('view', 'athlete');
            Route::post('absences', 'beAway')->can('report', 'athlete');
            Route::post('absences/{absence}/end', 'end')->whereUuid('absence')->can('attend', 'athlete');
            Route::post('absences/{absence}/take-back', 'takeBack')->whereUuid('absence')->can('attend', 'athlete');
            Route::post('restrictions', 'restrict')->can('clear', 'athlete');
            Route::post('restrictions/{restriction}/lift', 'lift')->whereUuid('restriction')->can('clear', 'athlete');
            Route::post('incidents', 'openIncident')->can('attend', 'athlete');
            Route::post('incidents/{incident}/entries', 'addToIncident')->whereUuid('incident')->can('attend', 'athlete');
            Route::post('incidents/{incident}/close', 'closeIncident')->whereUuid('incident')->can('attend', 'athlete');
        });
        Route::post('links', [IntakeController::class, 'link'])->can('decide', 'athlete');
        Route::post('shares', [IntakeController::class, 'share'])->can('decide', 'athlete');
        Route::post('shares/{person}/take-back', [IntakeController::class, 'unshare'])->can('decide', 'athlete');
        Route::get('export', [IntakeController::class, 'export'])->can('export', 'athlete');
        Route::get('export.zip', [IntakeController::class, 'exportFile'])->can('export', 'athlete');
        Route::post('erase', [IntakeController::class, 'erase'])->can('decide', 'athlete');
    });
    Route::prefix('sheets/{sheet}')->controller(SheetController::class)->group(function (): void {
        Route::get('', 'show')->can('view', 'sheet');
        Route::put('', 'save')->can('plan', 'sheet');
        Route::post('preview', 'preview')->can('view', 'sheet');
        Route::post('fit', 'fit')->can('plan', 'sheet');
        Route::get('addable', 'addable')->can('plan', 'sheet');
        Route::post('template', 'keepTemplate')->can('plan', 'sheet');
        Route::post('templates/{template}/removed', 'removeTemplate')->whereUuid('template')->can('plan', 'sheet');
        Route::get('swap', 'swap')->can('record', 'sheet');
        Route::post('swap', 'takeSwap')->can('record', 'sheet');
        Route::get('courtside', 'courtside')->can('record', 'sheet');
        Route::get('heard', 'heard')->can('record', 'sheet');
        Route::post('events', 'events')->can('record', 'sheet');
        Route::post('finish', 'finish')->can('record', 'sheet');
        Route::post('counts', 'counts')->can('plan', 'sheet');
        Route::get('after', 'after')->can('view', 'sheet');
    });
});
