<?php

declare(strict_types=1);

namespace App\Providers;

use App\Models\Athlete;
use App\Models\Sheet;
use App\Policies\AthletePolicy;
use App\Policies\SheetPolicy;
use Augendo\Core\Library\Library;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Facades\Gate;
use Illuminate\Support\ServiceProvider;

final class AppServiceProvider extends ServiceProvider
{
    public function register(): void
    {
        $this->app->scoped(Library::class, fn (): Library => new Library(config('app.library', base_path('library'))));
    }

    public function boot(): void
    {
        Model::shouldBeStrict(! $this->app->isProduction());
        Gate::policy(Athlete::class, AthletePolicy::class);
        Gate::policy(Sheet::class, SheetPolicy::class);
    }
}
