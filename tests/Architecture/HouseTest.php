<?php

declare(strict_types=1);

namespace Tests\Architecture;

use PHPat\Selector\Selector;
use PHPat\Selector\SelectorInterface;
use PHPat\Test\Attributes\TestRule;
use PHPat\Test\Builder\Rule;
use PHPat\Test\PHPat;

/** Who may name whom, held by PHPStan (phpat): resources → API → app → core, and never back. See docs/architecture.md. */
final class HouseTest
{
    #[TestRule]
    public function the_core_names_neither_framework_nor_application(): Rule
    {
        return PHPat::rule()
            ->classes(Selector::inNamespace('Augendo\Core'))
            ->shouldNot()->dependOn()
            ->classes(...array_map(
                Selector::inNamespace(...),
                ['App', 'Illuminate', 'Laravel', 'Carbon', 'Symfony', 'Ramsey', 'Database'],
            ))
            ->because('the core is tested alone, and a rule of the job is the same under any framework');
    }

    #[TestRule]
    public function the_core_reads_no_clock_and_no_database(): Rule
    {
        return PHPat::rule()
            ->classes(Selector::inNamespace('Augendo\Core'))
            ->shouldNot()->dependOn()
            ->classes(...array_map(Selector::classname(...), ['DateTime', 'DateTimeImmutable', 'PDO']))
            ->because('days and instants come in as arguments');
    }

    #[TestRule]
    public function only_controllers_and_screens_name_screens(): Rule
    {
        return PHPat::rule()
            ->classes(Selector::inNamespace('App'))
            ->excluding(self::named('Controller'), self::named('Screen'))
            ->shouldNot()->dependOn()
            ->classes(self::named('Screen'))
            ->because('what is kept and worked out knows nothing of the page that shows it');
    }

    #[TestRule]
    public function nobody_names_a_controller(): Rule
    {
        return PHPat::rule()
            ->classes(Selector::inNamespace('App'))
            ->shouldNot()->dependOn()
            ->classes(self::named('Controller'))
            ->because('routes alone lead to controllers');
    }

    #[TestRule]
    public function models_name_neither_answers_nor_words(): Rule
    {
        return PHPat::rule()
            ->classes(Selector::extends('Illuminate\Database\Eloquent\Model'))
            ->shouldNot()->dependOn()
            ->classes(Selector::inNamespace('/^App\\\\\w+\\\\Answers$/', true), Selector::inNamespace('App\Wording'))
            ->because('records hold reasons and figures, and words are made at the edge');
    }

    #[TestRule]
    public function words_are_made_from_what_is_given(): Rule
    {
        return PHPat::rule()
            ->classes(Selector::inNamespace('App\Wording'))
            ->shouldNot()->dependOn()
            ->classes(
                Selector::inNamespace('App\Http'),
                Selector::inNamespace('Illuminate\Http'),
                Selector::inNamespace('/^App\\\\\w+\\\\Answers$/', true),
            )
            ->because('a sentence is made of reasons, in one place');
    }

    #[TestRule]
    public function controllers_name_no_engine_of_the_core(): Rule
    {
        $engines = [
            'Load', 'Limits', 'Readiness', 'Gates', 'Planning', 'Mechanics', 'Returning', 'Scoring', 'Stations', 'Flight', 'Frames',
        ];

        return PHPat::rule()
            ->classes(self::named('Controller'))
            ->shouldNot()->dependOn()
            ->classes(...array_map(fn (string $engine): SelectorInterface => Selector::inNamespace("Augendo\\Core\\{$engine}"), $engines))
            ->because('a controller fetches, asks, answers; a query or an action of its room names the engines');
    }

    private static function named(string $ending): SelectorInterface
    {
        return Selector::classname("/^App\\\\.+{$ending}$/", true);
    }
}
