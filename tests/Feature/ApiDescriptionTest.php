<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Returns\PlayReturn;
use App\Seasons\Season;
use Database\Factories\FixtureFactory;
use Database\Factories\ImportFactory;
use Illuminate\Testing\TestResponse;
use Opis\JsonSchema\Errors\ErrorFormatter;
use Opis\JsonSchema\Validator;
use PHPUnit\Framework\Attributes\Group;
use Tests\TestCase;

/** What the API answers is what docs/openapi.json says it answers: every member, every type, nothing beside. */
#[Group('once'), Group('shape')]
final class ApiDescriptionTest extends TestCase
{
    /** Where the parts of the description stand for the validator. */
    private const AT = 'https://augendo.example/api';

    private ?Validator $validator = null;

    /** @var array<string, mixed>|null */
    private ?array $description = null;

    public function test_every_answer_that_can_be_read_is_as_described(): void
    {
        $this->actingAs($this->coach());
        $skip = [];
        foreach ($this->description()['paths'] as $path => $methods) {
            $schema = $methods['get']['responses']['200']['content']['application/json']['schema'] ?? null;
            if ($schema === null || str_starts_with($path, '/api/link/')) {
                isset($methods['get']) && $skip[] = $path;

                continue;
            }
            foreach (['Mira', 'Sofie', 'Luca', 'Henrike'] as $name) {
                $this->assertDescribed($this->getJson($this->address($path, $name))->assertOk(), $schema, "{$path} of {$name}");
            }
        }
        $this->assertEqualsCanonicalizing([
            '/api/athletes/{athlete}/export', '/api/athletes/{athlete}/export.zip', '/api/export.zip',
            '/api/athletes/{athlete}/film/pictures/{picture}', '/api/athletes/{athlete}/film/asked-clips/{asked}',
            '/api/link/check-in', '/api/link/entry', '/api/link/film-review',
        ], $skip);
    }

    public function test_a_list_in_the_address_where_a_word_is_asked_breaks_nothing(): void
    {
        $this->actingAs($this->coach());
        $looked = 0;
        foreach ($this->description()['paths'] as $path => $operations) {
            $asked = array_filter($operations['get']['parameters'] ?? [], fn (array $each): bool => ($each['in'] ?? '') === 'query');
            if ($asked === [] || str_contains($path, '/link/')) {
                continue;
            }
            $address = strtok($this->address($path, 'Mira'), '?');
            $lists = implode('&', array_map(fn (array $each): string => "{$each['name']}[]=x&{$each['name']}[]=y", $asked));
            $this->assertLessThan(500, $this->getJson("{$address}?{$lists}")->getStatusCode(), $path);
            $looked++;
        }
        $this->assertGreaterThan(15, $looked);
    }

    public function test_what_a_link_opens_is_as_described(): void
    {
        $token = $this
            ->actingAs($this->coach())
            ->postJson("/api/athletes/{$this->athlete('Noor')->id}/links", ['label' => 'phone'])
            ->json('token');
        $this->assertDescribed(
            $this->getJson('/api/link/check-in', ['X-Link-Token' => $token])->assertOk(),
            ['$ref' => '#/components/schemas/CheckInPageView'],
            'check-in',
        );
    }

    /** Bodies that were taken (tests/Fuzz/bodies.json holds what tests sent) are what the description asks for. */
    public function test_what_is_taken_is_as_described(): void
    {
        $seen = 0;
        foreach (json_decode((string) file_get_contents(base_path('tests/Fuzz/bodies.json')), true) as $operation => $bodies) {
            [$method, $path] = explode(' ', $operation);
            $asked = $this->description()['paths']["/{$path}"][strtolower($method)]['requestBody'];
            $schema = $asked['content']['application/json']['schema'];
            foreach ($bodies as $body) {
                $this->assertFits($schema, json_decode((string) json_encode($body)), $operation);
                $seen++;
            }
        }
        $this->assertGreaterThan(50, $seen);
    }

    public function test_every_error_is_a_problem_with_a_place(): void
    {
        $mira = $this->athlete('Mira');
        $answers = [
            401 => $this->getJson('/api/today'), 404 => $this->actingAs($this->coach())->getJson('/api/athletes/none'),
            422 => $this->postJson("/api/athletes/{$mira->id}/reports", ['reports' => [['score' => 99]]]),
            409 => $this->postJson("/api/sheets/{$this->sheetOf('Mira')->id}/fit", ['version' => -1]),
        ];
        foreach ($answers as $status => $answer) {
            $answer->assertStatus($status)
                ->assertHeader('Content-Type', 'application/problem+json')
                ->assertJsonStructure(['type', 'title', 'status', 'detail', 'errors'])
                ->assertJsonPath('status', $status);
            $this->assertNotSame('', $answer->json('title'));
        }
        $this->assertArrayHasKey('reports.0.score', $answers[422]->json('errors'));
    }

    private function address(string $path, string $name): string
    {
        $return = PlayReturn::query()->where('athlete_id', $this->athlete($name)->id)->first() ?? PlayReturn::query()->firstOrFail();

        $season = Season::query()->where('athlete_id', $this->athlete('Mira')->id)->firstOrFail();

        $match = FixtureFactory::new()->createOne([
            'squad_id' => $this->athlete($name)->squads()->firstOrFail()->id, 'created_by' => $this->coach()->id,
            'held_on' => $this->coach()->workspace->today()->iso(),
        ]);

        $today = $this->coach()->workspace->today();
        $tapes = $this->getJson("/api/athletes/{$this->athlete($name)->id}")->json('tapes');

        return strtr($path, [
            '{fixture}' => $match->id,
            '{ladder}' => 'racket-serve',
            '{season}' => $season->id,
            '{day}' => $today->plus(-2)->iso(),
            '{session}' => $this->sheetOf($name)->training_session_id,
            '{athlete}' => $this->athlete($name)->id,
            '{squad}' => (string) $this->athlete($name)->squads()->firstOrFail()->id,
            '{sheet}' => $this->sheetOf($name)->id,
            '{return}' => $return->id,
            '{import}' => ImportFactory::new()->createOne([
                'workspace_id' => $this->coach()->workspace_id, 'made_by' => $this->coach()->id,
            ])->id,
            '{limit}' => collect($tapes)->first()['limit_id'] ?? 'arm-week:17-18:dominant',
        ]).match (true) {
            str_ends_with($path, '/headroom') => '?skill=javelin',
            str_ends_with($path, '/throw-check') => '?skill=handball-standing-throw&object=handball-2&distance_m=12&effort=0.5',
            str_ends_with($path, '/what-if') => '?skill=javelin&reps=16&effort=0.8&distance_m=20&day='.$this
                ->coach()->workspace
                ->today()
                ->iso(),
            default => '',
        };
    }

    /** @param  array<string, mixed>  $schema */
    private function assertDescribed(TestResponse $answer, array $schema, string $where): void
    {
        $this->assertFits($schema, json_decode((string) $answer->getContent()), $where);
    }

    /** @param  array<string, mixed>  $schema */
    private function assertFits(array $schema, mixed $value, string $where): void
    {
        $asked = (string) json_encode($schema);
        $result = $this->validator()->validate($value, str_replace('"#\/components', '"'.self::AT.'#\/components', $asked));
        $this->assertTrue(
            $result->isValid(),
            "{$where}: ".($result->isValid() ? '' : json_encode((new ErrorFormatter)->format($result->error()))),
        );
    }

    /** One, which reads each part of the description once. */
    private function validator(): Validator
    {
        if ($this->validator === null) {
            $this->validator = new Validator(max_errors: 5);
            $parts = (string) json_encode(['components' => $this->description()['components']]);
            $this->validator->resolver()?->registerRaw($parts, self::AT);
        }

        return $this->validator;
    }

    /** @return array<string, mixed> */
    private function description(): array
    {
        $read = fn (): array => json_decode((string) file_get_contents(base_path('docs/openapi.json')), true, flags: JSON_THROW_ON_ERROR);

        return $this->description ??= $read();
    }
}
