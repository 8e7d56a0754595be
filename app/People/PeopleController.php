<?php

declare(strict_types=1);

namespace App\People;

use App\Gates\Answers\PlaceView;
use App\Http\Answers;
use App\Http\Problem;
use App\Http\ProblemType;
use App\People\Answers\PeopleView;
use App\People\Answers\TokenView;
use App\People\Requests\ClubSettingsRequest;
use App\People\Requests\ConfirmationRequest;
use App\People\Requests\InvitationRequest;
use App\People\Requests\PaceRequest;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

final class PeopleController
{
    public function __construct(private readonly Links $links, private readonly PeopleScreen $screen) {}

    #[Answers(PeopleView::class)]
    public function show(Request $request): JsonResponse
    {
        return response()->json($this->screen->view($request->user()));
    }

    #[Answers(PeopleView::class)]
    public function settings(ClubSettingsRequest $request): JsonResponse
    {
        $request->user()->workspace->update($request->validated());

        return $this->show($request);
    }

    /** How long one pace of whoever asks is: distances are stepped out. */
    #[Answers(null)]
    public function pace(PaceRequest $request): JsonResponse
    {
        $request->user()->update($request->validated());

        return response()->json(status: 204);
    }

    #[Answers(TokenView::class)]
    public function invite(InvitationRequest $request): JsonResponse
    {
        return $this->token($this->links->invite($request->validated(), $request->user()));
    }

    #[Answers(TokenView::class)]
    public function newPassword(Request $request, int $person): JsonResponse
    {
        return $this->token($this->links->newPassword($request->user()->colleague($person), $request->user()));
    }

    #[Answers(PeopleView::class)]
    public function close(Request $request, int $person): JsonResponse
    {
        if ($person === $request->user()->id) {
            throw new Problem(ProblemType::NotYourOwn, 'Nobody closes their own account; ask another coach.');
        }
        $this->links->closeAccount($request->user()->colleague($person), $request->user());

        return $this->show($request);
    }

    #[Answers(null)]
    public function handOver(Request $request, int $person): JsonResponse
    {
        Rights::handOver($request->user(), $request->user()->colleague($person));

        return response()->json(status: 204);
    }

    #[Answers(PeopleView::class)]
    public function confirm(ConfirmationRequest $request, int $person): JsonResponse
    {
        $colleague = $request->user()->colleague($person);
        $given = $request->validated();
        Rights::confirmClinician($request->user(), $colleague, $given['code']);

        return $this->show($request);
    }

    #[Answers(PeopleView::class)]
    public function revoke(Request $request, int $link): JsonResponse
    {
        $this->links->revoke(Rights::links($request->user())->findOrFail($link), $request->user());

        return $this->show($request);
    }

    #[Answers(TokenView::class)]
    public function calendarLink(Request $request): JsonResponse
    {
        return $this->token($this->links->calendar($request->user()));
    }

    #[Answers(PlaceView::class, list: true)]
    public function places(Request $request): JsonResponse
    {
        return response()->json($this->screen->places($request->user(), $request->session()->getId()));
    }

    #[Answers(PlaceView::class, list: true)]
    public function endOthers(Request $request): JsonResponse
    {
        Links::endSessions($request->user(), but: $request->session()->getId());

        return $this->places($request);
    }

    private function token(string $token): JsonResponse
    {
        return response()->json(Links::handedOn($token));
    }
}
