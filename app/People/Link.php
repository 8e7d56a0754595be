<?php

declare(strict_types=1);

namespace App\People;

use App\Athletes\Athlete;
use App\Http\Problem;
use App\Http\ProblemType;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;

/**
 * A link with a random token, kept only as its hash. The token itself is shown once, when the link is made.
 *
 * @property int $id
 * @property int $workspace_id
 * @property string $purpose
 * @property string $token_hash
 * @property string|null $athlete_id
 * @property int|null $user_id
 * @property string $label
 * @property 'guardian'|'athlete'|null $held_by
 * @property array<array-key, mixed>|null $details
 * @property int $made_by
 * @property Carbon $expires_at
 * @property Carbon|null $revoked_at
 * @property Carbon|null $used_at
 * @property Carbon|null $created_at
 * @property Carbon|null $updated_at
 */
final class Link extends Model
{
    public const CHECK_IN = 'check_in';

    public const INVITATION = 'invitation';

    public const PASSWORD = 'password';

    public const CALENDAR = 'calendar';

    public const FILM_REVIEW = 'film_review';

    protected $guarded = [];

    protected function casts(): array
    {
        return ['details' => 'array', 'expires_at' => 'datetime', 'revoked_at' => 'datetime', 'used_at' => 'datetime'];
    }

    /** @return self|null one that can be used now: known, not revoked, not run out */
    public static function usable(string $token, string $purpose): ?self
    {
        return self::query()->where('token_hash', hash('sha256', $token))->where('purpose', $purpose)->tap(self::live(...))
            // What opens an account opens none that was closed, and what somebody made whose account is closed gives nothing any more.
            ->where(
                fn ($links) => $links->whereNull('user_id')->orWhereIn('user_id', DB::table('users')->whereNull('closed_at')->select('id')),
            )
            ->where(
                fn ($links) => $links->where('purpose', '!=', self::INVITATION)->orWhereIn(
                    'made_by',
                    DB::table('users')->whereNull('closed_at')->select('id'),
                ),
            )
            ->first();
    }

    /**
     * Uses up a link that works once. Called in the transaction that does what it is for, so that of two who come at
     * the same time one comes too late.
     *
     * @throws Problem when it was used meanwhile
     */
    public function useUp(): void
    {
        $still = self::query()
            ->whereKey($this->id)
            ->tap(self::live(...))
            ->update(['used_at' => Carbon::now(), 'revoked_at' => Carbon::now()]);
        if ($still === 0) {
            throw new Problem(
                ProblemType::ThisLinkDoesNotWorkAnyMore,
                'It was used already, was taken back, or has run out. Ask your coach for a new one.',
            );
        }
    }

    /** @param  Builder<self>  $links */
    public static function live(Builder $links): void
    {
        $links->whereNull('revoked_at')->where('expires_at', '>', Carbon::now());
    }

    /** @return BelongsTo<Athlete, $this> */
    public function athlete(): BelongsTo
    {
        return $this->belongsTo(Athlete::class);
    }

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }

    /** @return BelongsTo<Workspace, $this> */
    public function workspace(): BelongsTo
    {
        return $this->belongsTo(Workspace::class);
    }
}
