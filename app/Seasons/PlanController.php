<?php

declare(strict_types=1);

namespace App\Seasons;

use App\Athletes\Athlete;
use App\Athletes\Squad;
use App\Http\Answers;
use App\Seasons\Answers\MatchTeamView;
use App\Seasons\Answers\PlanView;
use App\Seasons\Answers\SeasonsMadeView;
use App\Seasons\Answers\SeasonView;
use App\Seasons\Requests\FixtureRequest;
use App\Seasons\Requests\LineUpRequest;
use App\Seasons\Requests\SeasonRequest;
use App\Seasons\Requests\SquadSeasonRequest;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

final class PlanController
{
    public function __construct(
        private readonly PlanScreen $plan,
        private readonly SeasonScreen $season,
        private readonly Seasons $seasons,
        private readonly DeclareFixture $fixtures,
    ) {}

    #[Answers(PlanView::class, query: ['squad' => 'integer'])]
    public function show(Request $request): JsonResponse
    {
        return response()->json(
            $this->plan->view($request->user(), $request->user()->squadOrFirst($request->has('squad') ? $request->integer('squad') : null)),
        );
    }

    #[Answers(PlanView::class)]
    public function addFixture(FixtureRequest $request, Squad $squad): JsonResponse
    {
        $this->fixtures->add($squad, $request->validated(), $request->user());

        return response()->json($this->plan->view($request->user(), $squad));
    }

    #[Answers(MatchTeamView::class)]
    public function team(Request $request, Fixture $fixture, MatchTeam $team): JsonResponse
    {
        return response()->json($team->view($request->user(), $fixture));
    }

    #[Answers(MatchTeamView::class)]
    public function lineUp(LineUpRequest $request, Fixture $fixture, MatchTeam $team): JsonResponse
    {
        $team->lineUp($fixture, $request->validated('athletes'), $request->validated('reason'), $request->user());

        return response()->json($team->view($request->user(), $fixture->refresh()));
    }

    #[Answers(PlanView::class)]
    public function removeFixture(Request $request, Fixture $fixture): JsonResponse
    {
        $squad = Squad::query()->findOrFail($fixture->squad_id);
        $this->fixtures->remove($fixture, $request->user());

        return response()->json($this->plan->view($request->user(), $squad));
    }

    #[Answers(SeasonView::class)]
    public function draft(SeasonRequest $request, Athlete $athlete): JsonResponse
    {
        $today = $request->user()->workspace->today();

        return $this->seen($request, $this->seasons->draft($athlete, $request->season(), $today));
    }

    #[Answers(SeasonView::class)]
    public function open(SeasonRequest $request, Athlete $athlete): JsonResponse
    {
        return $this->seen($request, $this->seasons->open($athlete, $request->season(), $request->user()));
    }

    #[Answers(SeasonsMadeView::class)]
    public function openForSquad(SquadSeasonRequest $request, Squad $squad): JsonResponse
    {
        return response()->json(new SeasonsMadeView(...$this->seasons->openForSquad($squad, $request->validated(), $request->user())));
    }

    #[Answers(SeasonView::class)]
    public function season(Request $request, Season $season): JsonResponse
    {
        return $this->seen($request, $season->loadMissing('athlete', 'squad'));
    }

    #[Answers(SeasonView::class)]
    public function preview(SeasonRequest $request, Season $season): JsonResponse
    {
        $season->loadMissing('athlete', 'squad');

        return $this->seen(
            $request,
            $this->seasons->draft($season->athlete, $request->season(), $request->user()->workspace->today(), $season),
        );
    }

    private function seen(Request $request, Season $season): JsonResponse
    {
        $user = $request->user();

        return response()->json($this->season->view($season, $user->workspace->today(), $user->can('decide', $season->athlete)));
    }

    #[Answers(SeasonView::class)]
    public function change(SeasonRequest $request, Season $season): JsonResponse
    {
        $this->seasons->change($season, $request->season(), $request->user());

        return $this->season($request, $season->refresh());
    }

    #[Answers(null)]
    public function close(Request $request, Season $season): JsonResponse
    {
        $this->seasons->close($season->loadMissing('athlete'), $request->user());

        return response()->json(status: 204);
    }
}
