<?php

declare(strict_types=1);

namespace App\Library;

use App\Athletes\Athlete;
use App\Athletes\Squad;
use App\Http\Answers;
use App\Library\Answers\SchoolsView;
use App\Library\Requests\SchoolRequest;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

final class SchoolsController
{
    public function __construct(private readonly SchoolsScreen $screen) {}

    #[Answers(SchoolsView::class, query: ['ladder' => 'string'])]
    public function ofSquad(Request $request, Squad $squad): JsonResponse
    {
        return response()->json($this->screen->view($squad, self::ladder($request)));
    }

    #[Answers(SchoolsView::class, query: ['ladder' => 'string'])]
    public function ofAthlete(Request $request, Athlete $athlete): JsonResponse
    {
        return response()->json($this->screen->view($athlete, self::ladder($request)));
    }

    #[Answers(SchoolsView::class)]
    public function chooseForSquad(SchoolRequest $request, Squad $squad): JsonResponse
    {
        return $this->choose($request, $squad);
    }

    #[Answers(SchoolsView::class)]
    public function chooseForAthlete(SchoolRequest $request, Athlete $athlete): JsonResponse
    {
        return $this->choose($request, $athlete);
    }

    private function choose(SchoolRequest $request, Squad|Athlete $for): JsonResponse
    {
        $given = $request->validated();
        ChosenSchools::choose($for, $given['ladder'], $request->question(), $given['answer'], $request->user());

        return response()->json($this->screen->view($for, $given['ladder']));
    }

    private static function ladder(Request $request): ?string
    {
        $asked = $request->validate([
            'ladder' => ['sometimes', 'nullable', 'string', new KnownLadder($request->user()->workspace_id)],
        ]);

        return $asked['ladder'] ?? null;
    }
}
