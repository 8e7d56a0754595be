<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Athletes\Athlete;
use App\Seasons\FollowSessions;
use App\Seasons\Season;
use App\Sessions\Sheet;
use Augendo\Core\Day;
use Database\Factories\PlacementFactory;
use Illuminate\Support\Facades\Queue;
use PHPUnit\Framework\Attributes\Group;
use Tests\TestCase;

/** Several skills of one athlete, planned together. */
#[Group('once')]
final class SkillsTest extends TestCase
{
    private const SERVE = 'volleyball-float-serve';

    private const JAVELIN = 'javelin-throw';

    private Day $today;

    private Athlete $athlete;

    private string $address;

    protected function setUp(): void
    {
        parent::setUp();
        $this->actingAs($this->coach());
        $this->today = $this->coach()->workspace->today();
        $this->athlete = $this->athlete('Ilse');
        PlacementFactory::new()->create(['athlete_id' => $this->athlete->id, 'ladder' => self::JAVELIN, 'rung' => 'kneel']);
        $this->address = "/api/athletes/{$this->athlete->id}/skills";
    }

    public function test_every_ladder_is_offered_and_looking_keeps_nothing(): void
    {
        $look = $this->getJson($this->address)->assertOk()->json();
        $this->assertEqualsCanonicalizing([self::SERVE, self::JAVELIN], array_column($look['skills'], 'ladder'));
        $this->assertFalse($look['kept']);
        $draft = $this->postJson("{$this->address}/draft", $this->ask([self::JAVELIN]))->assertOk()->json();
        $this->assertSame([self::JAVELIN], array_column($draft['skills'], 'ladder'));
        $this->assertSame([self::SERVE], array_column($draft['others'], 'ladder'));
        $this->assertNull($draft['skills'][0]['leads'], 'Alone any day may be heavy.');
        $this->assertSame(0, Season::openOf($this->athlete)->count());
    }

    public function test_skills_are_kept_as_a_season_each_and_every_season_is_planned_around_the_others(): void
    {
        $kept = $this->putJson($this->address, $this->ask([self::SERVE, self::JAVELIN]))->assertOk()->json();
        $this->assertTrue($kept['kept'], 'What was kept is what comes of it.');
        $this->assertSame([self::SERVE, self::JAVELIN], array_column($kept['skills'], 'ladder'));
        [$serve, $javelin] = $kept['skills'];
        $this->assertNotSame($serve['leads'], $javelin['leads']);
        foreach ($this->days($kept) as $day) {
            $heavy = array_filter($day['items'], fn (array $item): bool => $item['emphasis'] === 'heavy');
            $this->assertLessThanOrEqual(1, count($heavy), $day['date']);
        }

        foreach ([$serve, $javelin] as $at => $skill) {
            $season = $this->getJson("/api/seasons/{$skill['season_id']}")->assertOk()->json();
            $this->assertFalse($season['differs'], $skill['ladder_name']);
            $own = $this->itemsOf($kept, $at);
            foreach ($this->days($season) as $day) {
                if ($day['kind'] === 'session') {
                    $item = $own[$day['date']];
                    $this->assertSame([$item['emphasis'], $item['own_reps']], [$day['emphasis'], $day['own_reps']]);
                }
            }
            $this->assertGreaterThan(0, Sheet::query()->where('season_id', $skill['season_id'])->count());
        }
        // The javelin’s page shows the serve beyond the two weeks that are on the calendar.
        $late = $this->today->plus(28)->iso();
        $season = $this->getJson("/api/seasons/{$javelin['season_id']}")->json();
        $says = "{$serve['ladder_name']} on this day as well.";
        $beside = array_filter(
            $this->days($season),
            fn (array $day): bool => $day['date'] > $late && in_array($says, $day['why'], true),
        );
        $this->assertNotSame([], $beside);

        // Closed, the other is on its own again.
        $this->postJson("/api/seasons/{$serve['season_id']}/close")->assertNoContent();
        $season = $this->getJson("/api/seasons/{$javelin['season_id']}")->json();
        $beside = array_filter($this->days($season), fn (array $day): bool => in_array($says, $day['why'], true));
        $this->assertSame([], $beside);
        $this->assertNull($this->getJson($this->address)->json('skills.0.leads'));
    }

    public function test_a_stale_save_keeps_none_of_them(): void
    {
        $kept = $this->putJson($this->address, $this->ask([self::SERVE, self::JAVELIN]))->json();
        $versions = array_column($kept['skills'], 'version', 'ladder');
        $ask = $this->ask([self::JAVELIN, self::SERVE], $versions);
        $this->putJson($this->address, ['evenly' => true] + $ask)->assertOk()->assertJsonPath('evenly', true)
            ->assertJsonPath('skills.0.ladder', self::JAVELIN);
        $this->putJson($this->address, $ask)->assertStatus(409)->assertJsonFragment(['version' => 2]);
        $this->assertSame([true, true], Season::openOf($this->athlete)->pluck('evenly')->all());
        // One of them opened by somebody else meanwhile is no new one.
        $this->putJson($this->address, $this->ask([self::JAVELIN, self::SERVE]))->assertStatus(409);
        $this->assertSame(2, Season::openOf($this->athlete)->count());
    }

    public function test_a_change_of_one_season_lets_the_others_follow(): void
    {
        $kept = $this->putJson($this->address, $this->ask([self::SERVE, self::JAVELIN]))->json();
        [$serve, $javelin] = $kept['skills'];
        Queue::fake([FollowSessions::class]);
        $this->putJson("/api/seasons/{$serve['season_id']}", [
            'version' => 1, 'goal_rung' => null, 'goal_on' => $serve['goal_on'], 'weekdays' => [1, 2, 3, 5], 'minutes' => null,
            'moves' => [], 'off' => [],
        ])->assertOk();
        Queue::assertPushed(FollowSessions::class, 1);
        Queue::assertPushed(fn (FollowSessions $job): bool => $job->seasonId === $javelin['season_id']);
        $this->postJson("/api/seasons/{$serve['season_id']}/close")->assertNoContent();
        Queue::assertPushed(FollowSessions::class, 2);
    }

    public function test_an_open_season_is_not_left_out_of_the_order(): void
    {
        $this->putJson($this->address, $this->ask([self::SERVE, self::JAVELIN]))->assertOk();
        $this->postJson("{$this->address}/draft", $this->ask([self::SERVE], [self::SERVE => 1]))->assertStatus(409)
            ->assertSee('Javelin throw');
    }

    public function test_nonsense_is_refused_with_its_place(): void
    {
        $ask = $this->ask([self::SERVE, self::JAVELIN]);
        $ask['skills'][1]['weekdays'] = [];
        $this->putJson($this->address, $ask)->assertStatus(422)->assertJsonPath(
            'errors', ['skills.1.weekdays' => ['Choose at least one training day for each skill.']],
        );
        $this->putJson($this->address, $this->ask([self::SERVE, self::SERVE]))->assertStatus(422);
        $ask = $this->ask([self::SERVE, 'shot']);
        $this->putJson($this->address, $ask)->assertStatus(422)->assertSee('Place the athlete first');
        $this->assertSame(0, Season::openOf($this->athlete)->count());
    }

    /**
     * @param  list<string>  $ladders
     * @param  array<string, int>  $versions
     * @return array<string, mixed>
     */
    private function ask(array $ladders, array $versions = []): array
    {
        $skill = fn (string $ladder): array => [
            'ladder' => $ladder, 'version' => $versions[$ladder] ?? null, 'goal_rung' => null,
            'goal_on' => $this->today->plus(70)->iso(), 'weekdays' => [1, 3, 5], 'minutes' => null,
        ];

        return ['evenly' => false, 'skills' => array_map($skill, $ladders)];
    }

    /**
     * @param  array<string, mixed>  $of
     * @return list<array<string, mixed>>
     */
    private function days(array $of): array
    {
        return array_merge(...array_column($of['weeks'], 'days'));
    }

    /**
     * @param  array<string, mixed>  $plan
     * @return array<string, array<string, mixed>> by date
     */
    private function itemsOf(array $plan, int $skill): array
    {
        $items = [];
        foreach ($this->days($plan) as $day) {
            foreach ($day['items'] as $item) {
                if ($item['skill'] === $skill) {
                    $items[$day['date']] = $item;
                }
            }
        }

        return $items;
    }
}
