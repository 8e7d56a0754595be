<?php

declare(strict_types=1);

namespace App\Gates;

use App\Athletes\Cards;
use App\Athletes\KeptRows;
use App\Athletes\Squad;
use App\Gates\Answers\AgreementView;
use App\Gates\Answers\GatesView;
use App\Library\LibraryProblems;
use App\People\User;
use App\Sessions\KeepRows;
use App\Wording\JudgingWording;
use Augendo\Core\Gates\Attention;
use Augendo\Core\Library\Library;

/** Who is ready, who is stuck and why, whom to watch next. */
final class GatesScreen
{
    public function __construct(
        private readonly Library $library,
        private readonly KeptRows $kept,
        private readonly GateRows $rows,
    ) {}

    /** @return string JSON of a GatesView: rows as they were kept, with what other people said of them */
    public function json(User $user, Squad $squad): string
    {
        $on = $user->workspace->today();
        $revisions = $user->athletesOf($squad)->toBase()->pluck('athletes.revision', 'athletes.id')->all();
        $ids = array_keys($revisions);
        [$kept, $areKept] = $this->kept->of($this->rows, $revisions, $squad, $on);
        if (! $areKept) {
            KeepRows::ask($squad);
        }
        $agreements = new Agreements($ids, $on, $this->library);
        $matchReady = MatchReadiness::since($ids);
        $rows = [];
        foreach ($kept as $id => $json) {
            foreach (json_decode($json, true, 512, JSON_THROW_ON_ERROR) as $row) {
                $rows[] = [
                    ...$row,
                    'agreement' => self::disagreement($agreements, $id, $row['rung']['ladder'], $row['rung']['rung']),
                    'match_ready' => $matchReady["{$id} {$row['rung']['ladder']}"] ?? null,
                ];
            }
        }
        $place = fn (array $row): array => [Attention::from($row['group'])->place(), -$row['opens'] - $row['steps_back']];
        usort($rows, fn (array $a, array $b): int => $place($a) <=> $place($b));
        $view = new GatesView(
            date: $on->iso(),
            squad: Cards::squad($squad),
            squads: Cards::squads($user),
            problems: LibraryProblems::now($this->library),
            rows: [],
            agreements: array_map(
                fn (array $row): AgreementView => Agreements::answer($row['who'], $row['agreement'], $row['splits']),
                $agreements->byPeople(),
            ),
        );

        return json_encode(['rows' => $rows] + (array) $view, JSON_THROW_ON_ERROR | JSON_PRESERVE_ZERO_FRACTION);
    }

    /** What two people see differently on a rung, in a sentence. */
    private static function disagreement(Agreements $agreements, string $athleteId, string $ladder, string $rung): ?string
    {
        $of = $agreements->onRung($athleteId, $ladder, $rung);

        return $of === null || ! $of['agreement']->isWeak() ? null : JudgingWording::disagreement($of['agreement']);
    }
}
