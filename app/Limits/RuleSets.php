<?php

declare(strict_types=1);

namespace App\Limits;

use App\Athletes\Athlete;
use App\Athletes\Squad;
use App\Http\Problem;
use App\Http\ProblemType;
use App\People\User;
use App\Records\Alone;
use App\Records\AthletesChanged;
use App\Records\Audit;
use App\Records\VersionedDocuments;
use Augendo\Core\Cases\LimitReader;
use Augendo\Core\Cases\Node;
use Augendo\Core\Library\RuleSet;
use Augendo\Core\Library\RuleSetReader;
use Augendo\Core\Limits\Limit;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;

/**
 * Rule sets a squad can be held to, and what single athletes have of a limit.
 *
 * @extends VersionedDocuments<RuleSet>
 */
final class RuleSets extends VersionedDocuments
{
    private const LONG_ENOUGH_REASON = 10;

    protected function table(): string
    {
        return 'rule_sets';
    }

    protected function noun(): string
    {
        return 'rule set';
    }

    protected function shippedFiles(): array
    {
        $ids = $this->library->ruleSetIds();

        return array_combine($ids, array_map(fn (string $id): string => "rule-sets/{$id}.json", $ids));
    }

    protected function shipped(string $id): RuleSet
    {
        return $this->library->ruleSet($id);
    }

    protected function read(Node $node): RuleSet
    {
        return (new RuleSetReader(new LimitReader(array_keys($this->library->skills()))))->read($node);
    }

    /** The rule set in force for a squad, in its latest version. */
    public function of(Squad $squad): RuleSet
    {
        if (in_array($squad->rule_set, $this->library->ruleSetIds(), true)) {
            return $this->shipped($squad->rule_set);
        }
        $row = DB::table('rule_sets')
            ->where('workspace_id', $squad->workspace_id)
            ->where('slug', $squad->rule_set)
            ->orderByDesc('version')
            ->first();

        return $row === null
            ? throw new \RuntimeException("Squad {$squad->id} is held to a rule set “{$squad->rule_set}” that is not there.")
            : $this->read(Node::parse($row->definition));
    }

    /** @return string changes whenever the rules in force for the squad do, as long as the library files do not */
    public function versionOf(Squad $squad): string
    {
        $version = in_array($squad->rule_set, $this->library->ruleSetIds(), true)
            ? 'shipped'
            : DB::table('rule_sets')->where('workspace_id', $squad->workspace_id)->where('slug', $squad->rule_set)->max('version');

        return "{$squad->workspace_id} {$squad->rule_set} {$version}";
    }

    /** @param  array<string, mixed>  $definition */
    public function save(array $definition, int $version, User $by): string
    {
        return Alone::inClub($by->workspace_id, function () use ($definition, $version, $by): string {
            $slug = parent::save($definition, $version, $by);
            foreach (Squad::query()->where('workspace_id', $by->workspace_id)->where('rule_set', $slug)->get() as $squad) {
                self::changed($squad, $by);
            }

            return $slug;
        });
    }

    public function assign(Squad $squad, string $slug, User $by): void
    {
        Alone::inClub($by->workspace_id, function () use ($squad, $slug, $by): void {
            $all = $this->all($by->workspace_id);
            if (! isset($all[$slug])) {
                throw new Problem(
                    ProblemType::NoSuchRuleSet,
                    'Choose one of the rule sets of this club.',
                    ['rule_set' => ['Choose one of the rule sets of this club.']],
                );
            }
            $squad->update(['rule_set' => $slug]);
            Audit::of($by, null, 'rule set assigned', ['squad' => $squad->name, 'rule_set' => $all[$slug]['document']->name]);
            self::changed($squad, $by);
        });
    }

    private static function changed(Squad $squad, User $by): void
    {
        $athletes = $squad->athletes()->get();
        AthletesChanged::many($athletes, $by->workspace->today());
    }

    /**
     * One athlete's share of a limit: less without a word, more only with a written reason; the whole takes it back.
     *
     * @param  string  $limitId  of the rule set, without age and side
     */
    public function share(Athlete $athlete, string $limitId, float $share, string $reason, User $by): void
    {
        Alone::with($athlete->id, function () use ($athlete, $limitId, $share, $reason, $by): void {
            $known = array_filter(
                $this->of($athlete->squads()->orderBy('squads.id')->firstOrFail())->limits,
                fn (Limit $limit): bool => $limit->baseId() === $limitId && $limit->isScalable(),
            );
            if ($known === []) {
                throw new Problem(
                    ProblemType::NoSuchLimit,
                    'Only a limit with an amount can be more or less for one athlete.',
                    ['limit_id' => ['Only a limit with an amount can be changed.']],
                );
            }
            if ($share > 1 && mb_strlen(trim($reason)) < self::LONG_ENOUGH_REASON) {
                throw new Problem(
                    ProblemType::AReasonIsNeeded,
                    'To allow one athlete more than the rule set, write why, in a sentence. Tighter needs none.',
                    ['reason' => ['Write why, in a sentence.']],
                );
            }
            DB::table('limit_shares')->insert([
                'athlete_id' => $athlete->id,
                'limit_id' => $limitId,
                'share' => $share,
                'reason' => trim($reason) === '' ? null : trim($reason),
                'set_by' => $by->id,
                'set_at' => Carbon::now(),
            ]);
            Audit::of($by, $athlete, 'limit changed for one athlete', ['limit' => $limitId, 'share' => $share, 'reason' => $reason]);
            AthletesChanged::one($athlete, $by->workspace->today());
        });
    }

    /**
     * @param  list<string>  $athleteIds
     * @return array<string, array<string, object{share: float, reason: string|null, by: string, set_at: string}>> the
     *         shares in force, by athlete and limit
     */
    public static function shares(array $athleteIds): array
    {
        $shares = [];
        foreach (
            DB::table('limit_shares')
                ->join('users', 'users.id', '=', 'limit_shares.set_by')
                ->whereIn('athlete_id', $athleteIds)
                ->orderBy('limit_shares.id')
                ->get(['limit_shares.*', 'users.name as by']) as $row
        ) {
            $shares[$row->athlete_id][$row->limit_id] = $row;
            if (abs((float) $row->share - 1.0) < 1e-9) {
                unset($shares[$row->athlete_id][$row->limit_id]);
            }
        }

        return $shares;
    }
}
