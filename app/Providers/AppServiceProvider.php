<?php

declare(strict_types=1);

namespace App\Providers;

use App\Athletes\Athlete;
use App\Athletes\AthletePolicy;
use App\Athletes\Squad;
use App\Athletes\SquadPolicy;
use App\Devices\Device;
use App\Devices\DevicePolicy;
use App\Library\KeptLadders;
use App\People\User;
use App\Records\AthletesChanged;
use App\Records\AtomicMigrator;
use App\Records\ImmediateConnector;
use App\Records\PostgresNumbers;
use App\Returns\PlayReturn;
use App\Returns\ReturnPolicy;
use App\Seasons\Fixture;
use App\Seasons\FixturePolicy;
use App\Seasons\Season;
use App\Seasons\SeasonPolicy;
use App\Sessions\FollowChange;
use App\Sessions\SessionChange;
use App\Sessions\SessionChangePolicy;
use App\Sessions\SessionPolicy;
use App\Sessions\Sheet;
use App\Sessions\SheetPolicy;
use App\Sessions\TrainingSession;
use App\Sessions\Venue;
use App\Sessions\VenuePolicy;
use App\Spreadsheets\Import;
use App\Spreadsheets\ImportPolicy;
use Augendo\Core\Library\Library;
use Illuminate\Cache\RateLimiting\Limit;
use Illuminate\Contracts\Foundation\Application;
use Illuminate\Database\Connection;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\Relation;
use Illuminate\Database\Migrations\Migrator;
use Illuminate\Http\Middleware\TrustProxies;
use Illuminate\Http\Request;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\Event;
use Illuminate\Support\Facades\Gate;
use Illuminate\Support\Facades\RateLimiter;
use Illuminate\Support\Facades\Route;
use Illuminate\Support\ServiceProvider;

final class AppServiceProvider extends ServiceProvider
{
    public function register(): void
    {
        $this->app->bind('db.connector.sqlite', ImmediateConnector::class);
        Connection::resolverFor('pgsql', fn (mixed ...$given): PostgresNumbers => new PostgresNumbers(...$given));
        $this->app->extend(
            'migrator',
            fn (Migrator $_, Application $app): AtomicMigrator => new AtomicMigrator(
                $app['migration.repository'],
                $app['db'],
                $app['files'],
                $app['events'],
            ),
        );
        $this->app->scoped(Library::class, fn (): Library => new Library(config('app.library', base_path('library')), new KeptLadders));
    }

    /** Tests alone: a clock that runs ahead, or one that stands where a file says. */
    private function setClock(): void
    {
        if ($this->app->isProduction()) {
            return;
        }
        if (is_file((string) config('app.clock_file'))) {
            Carbon::setTestNow(trim((string) file_get_contents((string) config('app.clock_file'))));
        } elseif (config('app.clock_ahead_ms') !== null) {
            // It goes on: a worker lives as long as the tests, and what is queued later is due later.
            Carbon::setTestNow(fn (Carbon $real): Carbon => $real->addMilliseconds((int) config('app.clock_ahead_ms')));
        }
    }

    public function boot(): void
    {
        // Behind a proxy the limits are by whoever asks, not by the proxy: TRUSTED_PROXIES=10.0.0.1,10.0.0.2.
        // Said here and not in bootstrap/app.php, where .env is not read yet.
        TrustProxies::at(config('app.trusted_proxies'));
        Model::shouldBeStrict(! $this->app->isProduction());
        $this->setClock();
        Event::listen(AthletesChanged::class, FollowChange::class);
        // What is kept names no class.
        Relation::enforceMorphMap(['athlete' => Athlete::class, 'user' => User::class]);
        Gate::policy(Athlete::class, AthletePolicy::class);
        Gate::policy(Sheet::class, SheetPolicy::class);
        Gate::policy(PlayReturn::class, ReturnPolicy::class);
        Gate::policy(Squad::class, SquadPolicy::class);
        Gate::policy(TrainingSession::class, SessionPolicy::class);
        Gate::policy(SessionChange::class, SessionChangePolicy::class);
        Gate::policy(Season::class, SeasonPolicy::class);
        Gate::policy(Venue::class, VenuePolicy::class);
        Gate::policy(Device::class, DevicePolicy::class);
        Gate::policy(Import::class, ImportPolicy::class);
        Gate::policy(Fixture::class, FixturePolicy::class);
        Gate::define('manage-people', fn (User $user): bool => $user->role->decides());
        // Sheets and returns are asked for by their ids; the policies look at whose they are.
        // Numbers that fit a column; whatever else stands there names nothing.
        foreach (['squad', 'person', 'link'] as $number) {
            Route::pattern($number, '[0-9]{1,15}');
        }
        // Ids that are one, since not every database can compare another text with it.
        Route::pattern('entry', '[0-9a-fA-F]{8}(-[0-9a-fA-F]{4}){3}-[0-9a-fA-F]{12}');
        Route::model('return', PlayReturn::class);
        Route::model('session', TrainingSession::class);
        // A clip of a phone comes in a hundred parts at most, one after the other.
        RateLimiter::for('clip-parts', fn (Request $request): array => [
            Limit::perMinute(600)->by('clip-parts|'.$request->ip()),
            Limit::perMinute(240)->by('clip-parts|'.hash('xxh128', (string) $request->header('X-Link-Token'))),
        ]);
        RateLimiter::for('devices', fn (Request $request): array => [
            Limit::perMinute(600)->by('devices|'.$request->ip()),
            Limit::perMinute(120)->by('device|'.hash('xxh128', (string) $request->bearerToken())),
        ]);
        RateLimiter::for('links', fn (Request $request): array => [
            Limit::perMinute(600)->by('links|'.$request->ip()),
            Limit::perMinute(12)->by(hash('xxh128', (string) ($request->route('token') ?? $request->header('X-Link-Token')))),
        ]);
    }
}
