<?php

declare(strict_types=1);

namespace App\Library;

use App\Athletes\Answers\NamedView;
use App\Athletes\Athlete;
use App\Athletes\Squad;
use App\Library\Answers\SchoolAnswerView;
use App\Library\Answers\SchoolQuestionView;
use App\Library\Answers\SchoolsView;
use App\Wording\SchoolWording;
use Augendo\Core\Library\Library;
use Augendo\Core\Library\SchoolQuestion;
use Augendo\Core\Library\Schools;

/** How are they taught, and what would another way change? */
final class SchoolsScreen
{
    /** More lines than this nobody reads before choosing. */
    private const TOLD = 8;

    public function __construct(private readonly Library $library) {}

    public function view(Squad|Athlete $for, ?string $ladder): SchoolsView
    {
        $climbed = ChosenSchools::climbed($for);
        $here = ChosenSchools::here($for, $ladder);
        $above = ChosenSchools::above($for, $ladder);
        $questions = [];
        foreach (SchoolQuestion::cases() as $question) {
            $otherwise = $above[$question->value] ?? $question->answers()[0];
            $now = $here[$question->value] ?? $otherwise;
            $questions[] = new SchoolQuestionView(
                key: $question->value,
                name: SchoolWording::question($question),
                why: SchoolWording::why($question),
                chosen: $here[$question->value] ?? null,
                otherwise: $otherwise,
                answers: array_map(
                    fn (string $answer): SchoolAnswerView => $this->answer($question, $answer, $now, [...$above, ...$here], $ladder === null
                        ? $climbed
                        : [$ladder]),
                    $question->answers(),
                ),
            );
        }

        return new SchoolsView(
            name: $for instanceof Squad ? $for->name : "{$for->given_name} {$for->family_name}",
            ladder: $ladder,
            ladders: array_map(fn (string $id): NamedView => new NamedView($id, $this->library->ladder($id)->name), $climbed),
            questions: $questions,
        );
    }

    /**
     * @param  array<string, string>  $answers  all that hold now
     * @param  list<string>  $ladders
     */
    private function answer(SchoolQuestion $question, string $answer, string $now, array $answers, array $ladders): SchoolAnswerView
    {
        $lines = [];
        $taught = new Schools($answers);
        $would = new Schools([...$answers, $question->value => $answer]);
        foreach ($answer === $now ? [] : $ladders as $id) {
            $ladder = $this->library->ladder($id);
            foreach ($would->against($taught, $ladder) as $change) {
                $lines[] = SchoolWording::change($ladder->name, $change);
            }
        }

        return new SchoolAnswerView(
            $answer, SchoolWording::answer($question, $answer), count($lines), array_slice($lines, 0, self::TOLD),
        );
    }
}
