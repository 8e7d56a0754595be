<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Console\ApiDescription\AnswerSchemas;
use App\Console\ApiDescription\RulesSchema;
use App\Http\CalendarDay;
use App\Http\UuidV7;
use Augendo\Core\Load\Surface;
use Augendo\Core\Readiness\Word;
use Illuminate\Validation\Rule;
use LogicException;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** The parts the description of the API is made of: what validation lets through, and what docblocks say of answers. */
final class DescriptionPartsTest extends TestCase
{
    /** @return iterable<string, array{list<mixed>, array<string, mixed>}> rules of one field, and its schema */
    public static function fields(): iterable
    {
        yield 'a whole number between bounds' => [
            ['required', 'integer:strict', 'between:1,20'], ['type' => 'integer', 'minimum' => 1, 'maximum' => 20],
        ];
        yield 'a number above nothing, or none' => [
            ['nullable', 'numeric:strict', 'gt:0', 'max:200'], ['type' => ['number', 'null'], 'exclusiveMinimum' => 0, 'maximum' => 200],
        ];
        yield 'a text' => [['required', 'string', 'min:10', 'max:500'], ['type' => 'string', 'minLength' => 10, 'maxLength' => 500]];
        yield 'yes or no' => [['required', 'boolean:strict'], ['type' => 'boolean']];
        yield 'one of few' => [['required', Rule::in(['left', 'right'])], ['type' => 'string', 'enum' => ['left', 'right']]];
        yield 'one of few, or none' => [
            ['nullable', Rule::in(['left', 'right'])], ['type' => ['string', 'null'], 'enum' => ['left', 'right', null]],
        ];
        yield 'one of many is data' => [['required', Rule::in(array_map(strval(...), range(1, 50)))], ['type' => 'string']];
        yield 'an enumeration less some' => [
            ['required', Rule::enum(Word::class)->except([Word::Unknown, Word::Refer])],
            ['type' => 'string', 'enum' => ['full', 'reduced', 'none']],
        ];
        yield 'an enumeration' => [
            ['present', 'nullable', Rule::enum(Surface::class)],
            ['type' => ['string', 'null'], 'enum' => [...array_column(Surface::cases(), 'value'), null]],
        ];
        yield 'a day' => [['required', 'bail', new CalendarDay], ['type' => 'string', 'format' => 'date']];
        yield 'an id' => [['required', new UuidV7], ['type' => 'string', 'format' => 'uuid']];
        yield 'a document' => [['required', 'array'], ['type' => 'object', 'additionalProperties' => true]];
    }

    /**
     * @param  list<mixed>  $rules
     * @param  array<string, mixed>  $schema
     */
    #[DataProvider('fields')]
    public function test_rules_become_a_schema(array $rules, array $schema): void
    {
        $of = RulesSchema::of(['field' => $rules])['properties']['field'];
        $this->assertEqualsCanonicalizing(array_keys($schema), array_keys($of));
        $this->assertEquals($schema, $of);
    }

    public function test_lists_objects_and_what_has_to_be_there(): void
    {
        $this->assertEquals([
            'type' => 'object',
            'properties' => [
                'doses' => [
                    'type' => 'array', 'minItems' => 1, 'maxItems' => 6,
                    'items' => [
                        'type' => 'object',
                        'properties' => ['reps' => ['type' => 'integer'], 'felt' => ['type' => ['string', 'null']]],
                        'required' => ['reps'],
                    ],
                ],
                'week' => [
                    'type' => ['object', 'null'],
                    'properties' => ['arm' => ['type' => 'number']],
                ],
                'seen' => ['type' => 'array', 'items' => ['type' => 'array', 'items' => ['type' => 'boolean']]],
            ],
            'required' => ['doses', 'week'],
        ], RulesSchema::of([
            'doses' => ['required', 'array', 'between:1,6'],
            'doses.*.reps' => ['required', 'integer:strict'],
            'doses.*.felt' => ['nullable', 'string'],
            'week' => ['present', 'nullable', 'array'],
            'week.arm' => ['required_with:week', 'numeric'],
            'seen' => ['array'],
            'seen.*' => ['array', 'list'],
            'seen.*.*' => ['boolean'],
        ]));
    }

    public function test_docblocks_and_types_become_a_schema(): void
    {
        $answer = new class(1, null, 'left', [], new \stdClass, [0.5, 1])
        {
            public function __construct(
                /** how many are left */
                public int $left,
                /** @format date */
                public ?string $day,
                /** @var 'left'|'right'|null of the body */
                public ?string $side,
                /** @var list<value-of<Word>> */
                public array $words,
                /** @var array<string, float>|\stdClass by measure */
                public array|\stdClass $caps,
                /** @var array{float, int} rate, and of how many */
                public array $pair,
            ) {}
        };
        $schemas = new AnswerSchemas;
        $schemas->reference($answer::class);
        $of = array_values($schemas->all())[0]['properties'];
        $this->assertEquals([
            'left' => ['type' => 'integer', 'description' => 'how many are left'],
            'day' => ['type' => ['string', 'null'], 'format' => 'date'],
            'side' => ['type' => ['string', 'null'], 'enum' => ['left', 'right', null], 'description' => 'of the body'],
            'words' => ['type' => 'array', 'items' => ['type' => 'string', 'enum' => array_column(Word::cases(), 'value')]],
            'caps' => ['type' => 'object', 'additionalProperties' => ['type' => 'number'], 'description' => 'by measure'],
            'pair' => [
                'type' => 'array', 'prefixItems' => [['type' => 'number'], ['type' => 'integer']], 'minItems' => 2, 'maxItems' => 2,
                'description' => 'rate, and of how many',
            ],
        ], $of);
    }

    public function test_a_type_that_cannot_be_described_stops_it(): void
    {
        $answer = new class([])
        {
            public function __construct(
                /** @var callable(int): string */
                public mixed $unknown,
            ) {}
        };
        $this->expectException(LogicException::class);
        $this->expectExceptionMessage('cannot be described');
        (new AnswerSchemas)->reference($answer::class);
    }
}
