<?php

declare(strict_types=1);

namespace App\Athletes;

use App\Athletes\Answers\IntakeView;
use App\Athletes\Answers\NamedView;
use App\Athletes\Answers\PlacedView;
use App\Athletes\Answers\RosterView;
use App\Athletes\Answers\SquadView;
use App\Athletes\Requests\AthleteRequest;
use App\Athletes\Requests\PlaceRequest;
use App\Athletes\Requests\RetireRequest;
use App\Athletes\Requests\SquadRequest;
use App\Athletes\Requests\SquadsRequest;
use App\Gates\FindPlace;
use App\Http\Answers;
use App\Library\Answers\LadderChoiceView;
use Augendo\Core\Day;
use Augendo\Core\Library\Library;
use Augendo\Core\Library\LibraryObject;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

final class RosterController
{
    public function __construct(private readonly Roster $roster, private readonly IntakeScreen $intake) {}

    #[Answers(SquadView::class)]
    public function addSquad(SquadRequest $request): JsonResponse
    {
        return $this->squad($this->roster->addSquad($request->validated(), $request->user()));
    }

    #[Answers(SquadView::class)]
    public function changeSquad(SquadRequest $request, Squad $squad): JsonResponse
    {
        $this->roster->changeSquad($squad, $request->validated(), $request->user());

        return $this->squad($squad->refresh());
    }

    #[Answers(RosterView::class)]
    public function index(Request $request, RosterScreen $screen): JsonResponse
    {
        return response()->json($screen->view($request->user()));
    }

    #[Answers(RosterView::class)]
    public function move(SquadsRequest $request, Athlete $athlete, RosterScreen $screen): JsonResponse
    {
        $this->roster->move($athlete, $request->validated('squads'), $request->user());

        return $this->index($request, $screen);
    }

    #[Answers(RosterView::class)]
    public function retire(RetireRequest $request, Athlete $athlete, RosterScreen $screen): JsonResponse
    {
        $this->roster->retire($athlete, Day::of($request->validated('day')), $request->user());

        return $this->index($request, $screen);
    }

    #[Answers(RosterView::class)]
    public function comeBack(Request $request, Athlete $athlete, RosterScreen $screen): JsonResponse
    {
        $this->roster->comeBack($athlete, $request->user());

        return $this->index($request, $screen);
    }

    #[Answers(RosterView::class)]
    public function archive(Request $request, Squad $squad, RosterScreen $screen): JsonResponse
    {
        $this->roster->archive($squad, $request->user());

        return $this->index($request, $screen);
    }

    #[Answers(NamedView::class)]
    public function addAthlete(AthleteRequest $request, Squad $squad): JsonResponse
    {
        $athlete = $this->roster->addAthlete($squad, $request->validated(), $request->user());

        return response()->json(new NamedView($athlete->id, $athlete->name()));
    }

    #[Answers(IntakeView::class)]
    public function changeAthlete(AthleteRequest $request, Athlete $athlete): JsonResponse
    {
        $this->roster->changeAthlete($athlete, $request->safe()->except('id'), $request->user());

        return response()->json($this->intake->view($request->user(), $athlete->refresh()));
    }

    #[Answers(IntakeView::class)]
    public function place(PlaceRequest $request, Athlete $athlete): JsonResponse
    {
        $given = $request->validated();
        $this->roster->place($athlete, $given['ladder'], $given['rung'], $request->user());

        return response()->json($this->intake->view($request->user(), $athlete));
    }

    #[Answers(LadderChoiceView::class, list: true)]
    public function ladders(Request $request): JsonResponse
    {
        return response()->json($this->intake->ladders($request->user()));
    }

    #[Answers(IntakeView::class)]
    public function leave(Request $request, Athlete $athlete, string $ladder): JsonResponse
    {
        $this->roster->leave($athlete, $ladder, $request->user());

        return response()->json($this->intake->view($request->user(), $athlete));
    }

    /** The search for a newcomer’s place begins: a sheet of today on the lowest rung. */
    #[Answers(PlacedView::class)]
    public function startPlacing(Request $request, Athlete $athlete, string $ladder, FindPlace $placing): JsonResponse
    {
        return response()->json(new PlacedView($placing->start($athlete, $ladder, $request->user())->id));
    }

    #[Answers(PlacedView::class)]
    public function goOnPlacing(Request $request, Athlete $athlete, string $ladder, FindPlace $placing): JsonResponse
    {
        return response()->json(new PlacedView($placing->go($athlete, $ladder, $request->user())?->id));
    }

    /** What a block of a ladder may be a repetition of. */
    #[Answers(NamedView::class, list: true)]
    public function skills(Library $library): JsonResponse
    {
        $names = $library->skillNames();

        return response()->json(
            array_map(fn (string $id, string $name): NamedView => new NamedView($id, $name), array_keys($names), $names),
        );
    }

    /** What can be thrown, served or held; all: and what a shadow repetition or a jump has instead. */
    #[Answers(NamedView::class, list: true, query: ['all' => 'integer'])]
    public function objects(Request $request, Library $library): JsonResponse
    {
        $objects = array_filter(
            $library->objects(),
            fn (LibraryObject $object): bool => $request->boolean('all') || $object->massKg !== null,
        );

        return response()->json(NamedView::ofObjects($objects));
    }

    private function squad(Squad $squad): JsonResponse
    {
        return response()->json(Cards::squad($squad));
    }
}
