<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;

/** A link with a random token, kept only as its hash. The token itself is shown once, when the link is made. */
final class Link extends Model
{
    public const CHECK_IN = 'check_in';

    public const INVITATION = 'invitation';

    public const PASSWORD = 'password';

    public const CALENDAR = 'calendar';

    protected $guarded = [];

    protected function casts(): array
    {
        return ['details' => 'array', 'expires_at' => 'datetime', 'revoked_at' => 'datetime', 'used_at' => 'datetime'];
    }

    /** @return self|null one that can be used now: known, not revoked, not run out */
    public static function usable(string $token, string $purpose): ?self
    {
        return self::query()->where('token_hash', hash('sha256', $token))->where('purpose', $purpose)->tap(self::live(...))->first();
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
