<?php

declare(strict_types=1);

namespace App\Returns;

use App\Athletes\Athlete;
use App\Http\Answers;
use App\Returns\Answers\OpenableView;
use App\Returns\Answers\ReturnRefView;
use App\Returns\Answers\ReturnView;
use App\Returns\Requests\CloseReturnRequest;
use App\Returns\Requests\MorningRequest;
use App\Returns\Requests\ReturnAcceptRequest;
use App\Returns\Requests\ReturnClearanceRequest;
use App\Returns\Requests\ReturnMeasureRequest;
use App\Returns\Requests\ReturnOpenRequest;
use App\Returns\Requests\StageSheetRequest;
use App\Sessions\Answers\SheetRefView;
use App\Sessions\SheetRefs;
use Augendo\Core\Day;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

final class ReturnController
{
    public function __construct(private readonly ReturnSteps $steps, private readonly ReturnScreen $screen) {}

    #[Answers(ReturnRefView::class, list: true)]
    public function board(Request $request): JsonResponse
    {
        return response()->json($this->screen->board($request->user()));
    }

    #[Answers(OpenableView::class, list: true)]
    public function openable(Athlete $athlete): JsonResponse
    {
        return response()->json($this->screen->openable($athlete));
    }

    #[Answers(ReturnView::class)]
    public function open(ReturnOpenRequest $request, Athlete $athlete): JsonResponse
    {
        return $this->answer($request, $this->steps->open($athlete, $request->validated(), $request->user()));
    }

    #[Answers(ReturnView::class)]
    public function show(Request $request, PlayReturn $return): JsonResponse
    {
        return $this->answer($request, $return);
    }

    #[Answers(ReturnView::class)]
    public function clear(ReturnClearanceRequest $request, PlayReturn $return): JsonResponse
    {
        $this->steps->clear($return, $request->validated(), $request->user());

        return $this->answer($request, $return);
    }

    #[Answers(ReturnView::class)]
    public function measure(ReturnMeasureRequest $request, PlayReturn $return): JsonResponse
    {
        $this->steps->measure($return, $request->validated(), $request->user());

        return $this->answer($request, $return);
    }

    #[Answers(ReturnView::class)]
    public function accept(ReturnAcceptRequest $request, PlayReturn $return): JsonResponse
    {
        $this->steps->accept($return, $request->validated(), $request->user());

        return $this->answer($request, $return);
    }

    #[Answers(SheetRefView::class)]
    public function plan(StageSheetRequest $request, PlayReturn $return): JsonResponse
    {
        $given = $request->validated();

        $sheet = $this->steps->plan($return, Day::of($given['day']), $request->user());

        return response()->json(SheetRefs::one($sheet->refresh(), $request->user()->workspace->today()));
    }

    #[Answers(ReturnView::class)]
    public function morning(MorningRequest $request, PlayReturn $return, string $attempt): JsonResponse
    {
        $given = $request->validated();
        $this->steps->enterMorning(
            $return,
            ReturnAttempt::query()->where('return_id', $return->id)->findOrFail($attempt),
            $given['score'],
            $request->user(),
        );

        return $this->answer($request, $return);
    }

    #[Answers(ReturnView::class)]
    public function close(CloseReturnRequest $request, PlayReturn $return): JsonResponse
    {
        $given = $request->validated();
        $this->steps->close($return, $given['reason'], $request->user());

        return $this->answer($request, $return);
    }

    private function answer(Request $request, PlayReturn $return): JsonResponse
    {
        return response()->json($this->screen->view($request->user(), $return->refresh()));
    }
}
