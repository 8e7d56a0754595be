<?php

declare(strict_types=1);

namespace App\Athletes;

use App\People\Workspace;
use Augendo\Core\Readiness\School;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\BelongsToMany;
use Illuminate\Support\Carbon;

/**
 * @property int $id
 * @property int $workspace_id
 * @property string $name
 * @property string $rule_set
 * @property School|null $school
 * @property Carbon|null $created_at
 * @property Carbon|null $updated_at
 * @property string|null $floor
 * @property string|null $archived_on
 */
final class Squad extends Model
{
    protected $guarded = [];

    protected function casts(): array
    {
        return ['school' => School::class];
    }

    /** @return BelongsTo<Workspace, $this> */
    public function workspace(): BelongsTo
    {
        return $this->belongsTo(Workspace::class);
    }

    /** @return BelongsToMany<Athlete, $this> those in it now, in running order */
    public function athletes(): BelongsToMany
    {
        return $this->belongsToMany(Athlete::class)->withPivot('position')->wherePivotNull('left_on')->orderByPivot('position');
    }
}
