<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Answers;
use App\Http\Requests\CalendarDay;
use App\Http\Requests\ReturnAcceptRequest;
use App\Http\Requests\ReturnClearanceRequest;
use App\Http\Requests\ReturnMeasureRequest;
use App\Http\Requests\ReturnOpenRequest;
use App\Http\Views\OpenableView;
use App\Http\Views\ReturnRefView;
use App\Http\Views\ReturnView;
use App\Http\Views\SheetRefView;
use App\Models\Athlete;
use App\Models\PlayReturn;
use App\Models\ReturnAttempt;
use App\Records\ReturnDesk;
use App\Screens\ReturnScreen;
use App\Screens\SheetRefs;
use Augendo\Core\Day;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

final class ReturnController
{
    public function __construct(private readonly ReturnDesk $desk, private readonly ReturnScreen $screen) {}

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
        return $this->answer($request, $this->desk->open($athlete, $request->validated(), $request->user()));
    }

    #[Answers(ReturnView::class)]
    public function show(Request $request, PlayReturn $return): JsonResponse
    {
        return $this->answer($request, $return);
    }

    #[Answers(ReturnView::class)]
    public function clear(ReturnClearanceRequest $request, PlayReturn $return): JsonResponse
    {
        $this->desk->clear($return, $request->validated(), $request->user());

        return $this->answer($request, $return);
    }

    #[Answers(ReturnView::class)]
    public function measure(ReturnMeasureRequest $request, PlayReturn $return): JsonResponse
    {
        $this->desk->measure($return, $request->validated(), $request->user());

        return $this->answer($request, $return);
    }

    #[Answers(ReturnView::class)]
    public function accept(ReturnAcceptRequest $request, PlayReturn $return): JsonResponse
    {
        $this->desk->accept($return, $request->validated(), $request->user());

        return $this->answer($request, $return);
    }

    #[Answers(SheetRefView::class)]
    public function plan(Request $request, PlayReturn $return): JsonResponse
    {
        $today = $request->user()->workspace->today();
        $given = $request->validate([
            'day' => ['required', 'bail', new CalendarDay, 'after_or_equal:'.$today->iso(), 'before:'.$today->plus(60)->iso()],
        ]);

        return response()->json(SheetRefs::one($this->desk->plan($return, Day::of($given['day']), $request->user())->id));
    }

    #[Answers(ReturnView::class)]
    public function morning(Request $request, PlayReturn $return, string $attempt): JsonResponse
    {
        $given = $request->validate(['score' => ['required', 'integer:strict', 'between:0,10']]);
        $this->desk->enterMorning(
            $return,
            ReturnAttempt::query()->where('return_id', $return->id)->findOrFail($attempt),
            $given['score'],
            $request->user(),
        );

        return $this->answer($request, $return);
    }

    #[Answers(ReturnView::class)]
    public function close(Request $request, PlayReturn $return): JsonResponse
    {
        $given = $request->validate(
            ['reason' => ['required', 'string', 'min:10', 'max:500']],
            ['reason.*' => 'Write why it ends here, in a sentence.'],
        );
        $this->desk->close($return, $given['reason'], $request->user());

        return $this->answer($request, $return);
    }

    private function answer(Request $request, PlayReturn $return): JsonResponse
    {
        return response()->json($this->screen->view($request->user(), $return->refresh()));
    }
}
