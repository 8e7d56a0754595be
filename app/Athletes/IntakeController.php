<?php

declare(strict_types=1);

namespace App\Athletes;

use App\Athletes\Answers\CollectorsView;
use App\Athletes\Answers\IntakeView;
use App\Athletes\Requests\CheckInLinkRequest;
use App\Athletes\Requests\CollectorsRequest;
use App\Athletes\Requests\ErasureRequest;
use App\Athletes\Requests\IntakeRequest;
use App\Health\HealthLog;
use App\Health\Requests\ConditionRequest;
use App\Health\Requests\WellnessRequest;
use App\Http\Answers;
use App\Http\Problem;
use App\Http\ProblemType;
use App\People\Answers\TokenView;
use App\People\Links;
use App\People\Requests\ShareRequest;
use App\People\Shares;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\BinaryFileResponse;

final class IntakeController
{
    public function __construct(private readonly Intake $intake, private readonly IntakeScreen $screen) {}

    #[Answers(IntakeView::class)]
    public function show(Request $request, Athlete $athlete): JsonResponse
    {
        return response()->json($this->screen->view($request->user(), $athlete));
    }

    #[Answers(IntakeView::class)]
    public function save(IntakeRequest $request, Athlete $athlete): JsonResponse
    {
        $this->intake->save($athlete, $request->safe()->except('version'), $request->integer('version'), $request->user());

        return $this->show($request, $athlete);
    }

    #[Answers(IntakeView::class)]
    public function confirmUsualWeek(Request $request, Athlete $athlete): JsonResponse
    {
        $this->intake->confirmUsualWeek($athlete, $request->user());

        return $this->show($request, $athlete);
    }

    #[Answers(IntakeView::class)]
    public function condition(ConditionRequest $request, Athlete $athlete, HealthLog $log): JsonResponse
    {
        $log->setCondition($athlete, $request->validated(), $request->user());

        return $this->show($request, $athlete);
    }

    #[Answers(null)]
    public function wellness(WellnessRequest $request, Athlete $athlete, HealthLog $log): JsonResponse
    {
        $log->wellness($athlete, $request->validated(), $request->user()->workspace->today(), $request->user());

        return response()->json(status: 204);
    }

    #[Answers(TokenView::class)]
    public function link(CheckInLinkRequest $request, Athlete $athlete, Links $links): JsonResponse
    {
        $given = $request->validated();
        $token = $links->checkIn($athlete, $given['label'], $given['held_by'] ?? null, $request->user());

        return response()->json(Links::handedOn($token));
    }

    #[Answers(IntakeView::class)]
    public function share(ShareRequest $request, Athlete $athlete, Shares $shares): JsonResponse
    {
        $shares->add($athlete, $request->validated(), $request->user());

        return $this->show($request, $athlete);
    }

    #[Answers(IntakeView::class)]
    public function unshare(Request $request, Athlete $athlete, string $person, Shares $shares): JsonResponse
    {
        $shares->takeBack($athlete, (int) $person, $request->user());

        return $this->show($request, $athlete);
    }

    #[Answers(null)]
    public function export(Request $request, Athlete $athlete, Privacy $privacy): JsonResponse
    {
        return response()->json(
            $privacy->export($athlete, $request->user()),
            headers: ['Content-Disposition' => "attachment; filename=\"augendo-{$athlete->id}.json\""],
        );
    }

    #[Answers(null)]
    public function exportFile(Request $request, Athlete $athlete, Privacy $privacy): BinaryFileResponse
    {
        return $this->handOver($privacy->zip($athlete, $request->user()), "augendo-{$athlete->id}.zip");
    }

    #[Answers(null)]
    public function exportClub(Request $request, Privacy $privacy): BinaryFileResponse
    {
        return $this->handOver($privacy->zipOfClub($request->user()), 'augendo-club.zip');
    }

    private function handOver(string $path, string $name): BinaryFileResponse
    {
        return response()->download($path, $name, ['Content-Type' => 'application/zip'])->deleteFileAfterSend();
    }

    #[Answers(null)]
    public function erase(ErasureRequest $request, Athlete $athlete, Privacy $privacy): JsonResponse
    {
        $given = $request->validated();
        if (trim($given['name']) !== $athlete->name()) {
            throw new Problem(
                ProblemType::NothingWasErased,
                "Write the whole name as it stands, “{$athlete->name()}”, to erase it for good.",
                ['name' => ['This is not the name.']],
            );
        }
        $privacy->erase($athlete, $request->user());

        return response()->json(status: 204);
    }

    /** Whom a child may be handed to. */
    #[Answers(CollectorsView::class)]
    public function collectors(Request $request, Athlete $athlete): JsonResponse
    {
        return response()->json(Collectors::view($athlete, $request->user()));
    }

    #[Answers(CollectorsView::class)]
    public function nameCollectors(CollectorsRequest $request, Athlete $athlete): JsonResponse
    {
        Collectors::keep($athlete, $request->validated('names'), $request->user());

        return $this->collectors($request, $athlete);
    }
}
