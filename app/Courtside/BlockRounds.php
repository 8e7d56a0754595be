<?php

declare(strict_types=1);

namespace App\Courtside;

use App\Courtside\Answers\GameView;
use App\Courtside\Answers\PlayedRoundView;
use App\Sessions\Sheet;
use App\Sessions\SheetBlock;
use App\Wording\ScoreWording;
use Augendo\Core\Library\BlockDose;
use Augendo\Core\Library\CourtBox;
use Augendo\Core\Library\Library;
use Augendo\Core\Library\LibraryCourt;
use Augendo\Core\Library\Rung;
use Augendo\Core\Load\Skill;
use Augendo\Core\Scoring\Round;
use Augendo\Core\Scoring\RoundPlayed;
use Augendo\Core\Scoring\ScoreKind;
use Illuminate\Support\Facades\DB;

/**
 * Rounds that were played on the blocks of a sheet: kept as scores, and made anew from its taps. Their repetitions are load by their taps,
 * and by nothing else.
 */
final class BlockRounds
{
    public function __construct(private readonly Library $library) {}

    /** On a way back its stages say what counts, and nothing is scored. */
    public static function mayScore(Sheet $sheet, Rung $rung, BlockDose $dose): bool
    {
        return $sheet->return_stage === null && $rung->scores($dose);
    }

    /** The court a skill is served on; null: it is no serve. */
    public function courtOf(Skill $skill): ?LibraryCourt
    {
        foreach ($this->library->courts() as $court) {
            if (in_array($skill->id, $court->skills, true)) {
                return $court;
            }
        }

        return null;
    }

    /** @return list<RoundPlayed> in the order they were begun */
    public function played(Sheet $sheet): array
    {
        return RoundPlayed::of($sheet->taps(), $this->box(...));
    }

    private function box(Round $round): ?CourtBox
    {
        return $round->on === null ? null : $this->library->courts()[$round->on[0]]->boxes[$round->on[1]] ?? null;
    }

    /**
     * @param  list<GameView>  $games  of the athlete on the ladder of the sheet
     * @return list<PlayedRoundView> those that were kept as scores, in order
     */
    public function view(Sheet $sheet, array $games): array
    {
        $bySetup = array_column($games, null, 'setup');
        $rows = DB::table('scores')->where('sheet_id', $sheet->id)->whereNull('withdrawn_at')->orderBy('at')->orderBy('id')->get();
        $views = [];
        foreach ($rows as $row) {
            $kind = ScoreKind::from($row->kind);
            $value = ScoreWording::value($kind, (float) $row->value);
            $views[] = new PlayedRoundView(
                id: $row->id,
                setup: $row->setup,
                box: $this->box(Round::read($row->setup))?->name,
                value: $value,
                detail: Scores::read($kind, json_decode($row->seen, true))->detail,
                best: ($bySetup[$row->setup] ?? null)->best ?? $value,
                goal: $row->goal === null ? null : ScoreWording::value($kind, (float) $row->goal),
            );
        }

        return $views;
    }

    /** @param  Rung|null  $rung  the rung the sheet was run on; where the outcome is not looked at, nothing is scored */
    public function keep(Sheet $sheet, ?Rung $rung): void
    {
        $scored = $rung === null ? [] : $sheet->blocks
            ->filter(fn (SheetBlock $block): bool => self::mayScore($sheet, $rung, $block->dose($this->library)))
            ->pluck('id')
            ->all();
        $kept = [];
        foreach ($scored === [] ? [] : $this->played($sheet) as $played) {
            $seen = in_array($played->blockId, $scored, true) ? $played->seen($rung === null ? [] : $rung->safeMisses) : null;
            if ($seen !== null) {
                $kept[] = $played->id;
                $this->put($sheet, $played, $seen);
            }
        }
        DB::table('scores')->where('sheet_id', $sheet->id)->whereNotIn('id', $kept)->delete();
    }

    /** @param  array<string, mixed>  $seen */
    private function put(Sheet $sheet, RoundPlayed $played, array $seen): void
    {
        $kind = $played->round->kind;
        $told = [
            'seen' => json_encode($seen, JSON_THROW_ON_ERROR),
            'value' => Scores::read($kind, $seen)->value,
            'goal' => $played->round->goal,
        ];
        DB::table('scores')->insertOrIgnore([
            'id' => $played->id, 'athlete_id' => $sheet->athlete_id, 'sheet_id' => $sheet->id, 'kind' => $kind->value, 'name' => '',
            'setup' => $played->round->setup(), 'ladder' => $sheet->ladder, 'day' => $sheet->day()->iso(), 'at' => $played->at->text,
            'taken_by' => $played->by, ...$told,
        ]);
        // One that was taken back stays so; an id that names another sheet's score changes nothing there.
        DB::table('scores')->where('id', $played->id)->where('sheet_id', $sheet->id)->update($told);
    }
}
