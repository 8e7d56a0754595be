<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Answers;
use App\Http\Problem;
use App\Http\Requests\InvitationRequest;
use App\Http\Views\PeopleView;
use App\Http\Views\PlaceView;
use App\Http\Views\TokenView;
use App\Models\Link;
use App\Models\User;
use App\Records\LinkDesk;
use App\Records\Rights;
use App\Screens\PeopleScreen;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

final class PeopleController
{
    public function __construct(private readonly LinkDesk $links, private readonly PeopleScreen $screen) {}

    #[Answers(PeopleView::class)]
    public function show(Request $request): JsonResponse
    {
        return response()->json($this->screen->view($request->user()));
    }

    #[Answers(PeopleView::class)]
    public function settings(Request $request): JsonResponse
    {
        $request->user()->workspace->update($request->validate(['asks_wellness' => ['required', 'boolean:strict']]));

        return $this->show($request);
    }

    /** How long one pace of whoever asks is: distances are stepped out. */
    #[Answers(null)]
    public function pace(Request $request): JsonResponse
    {
        $request->user()->update($request->validate(['pace_m' => ['required', 'numeric:strict', 'between:0.3,1.5']]));

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
        return $this->token($this->links->newPassword($this->colleague($request, $person), $request->user()));
    }

    #[Answers(PeopleView::class)]
    public function close(Request $request, int $person): JsonResponse
    {
        if ($person === $request->user()->id) {
            throw new Problem(422, 'Not your own', 'Nobody closes their own account; ask another coach.');
        }
        $this->links->closeAccount($this->colleague($request, $person), $request->user());

        return $this->show($request);
    }

    #[Answers(PeopleView::class)]
    public function handOver(Request $request, int $person): JsonResponse
    {
        Rights::handOver($request->user(), $this->colleague($request, $person));

        return $this->show($request);
    }

    #[Answers(PeopleView::class)]
    public function confirm(Request $request, int $person): JsonResponse
    {
        $colleague = $this->colleague($request, $person);
        $given = $request->validate(['code' => ['required', 'string', 'max:20']]);
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
        LinkDesk::endSessions($request->user(), but: $request->session()->getId());

        return $this->places($request);
    }

    private function colleague(Request $request, int $id): User
    {
        return User::query()->where('workspace_id', $request->user()->workspace_id)->findOrFail($id);
    }

    private function token(string $token): JsonResponse
    {
        return response()->json(
            new TokenView($token, Link::query()->where('token_hash', hash('sha256', $token))->firstOrFail()->expires_at->toDateString()),
        );
    }
}
