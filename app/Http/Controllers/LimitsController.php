<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Answers;
use App\Http\Views\DocumentView;
use App\Http\Views\LimitsView;
use App\Http\Views\RuleCompareView;
use App\Models\Athlete;
use App\Models\Squad;
use App\Records\RuleSetBook;
use App\Screens\LimitsScreen;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

final class LimitsController
{
    public function __construct(private readonly LimitsScreen $screen, private readonly RuleSetBook $book) {}

    #[Answers(LimitsView::class, query: ['squad' => 'integer'])]
    public function show(Request $request): JsonResponse
    {
        $user = $request->user();

        return response()->json(
            $this->screen->view($user, $user->squadOrFirst($request->has('squad') ? $request->integer('squad') : null)),
        );
    }

    #[Answers(DocumentView::class, list: true)]
    public function ruleSets(Request $request): JsonResponse
    {
        $all = $this->book->all($request->user()->workspace_id);

        return response()->json(array_map(fn (string $id, array $kept): DocumentView => new DocumentView(
            $id, $kept['document']->name, $kept['own'], $kept['document']->version,
            json_decode($kept['definition'], false, 512, JSON_THROW_ON_ERROR),
        ), array_keys($all), $all));
    }

    #[Answers(DocumentView::class, list: true)]
    public function saveRuleSet(Request $request): JsonResponse
    {
        $given = $request->validate(['version' => ['required', 'integer:strict', 'min:0'], 'definition' => ['required', 'array']]);
        $this->book->save($given['definition'], $given['version'], $request->user());

        return $this->ruleSets($request);
    }

    #[Answers(RuleCompareView::class)]
    public function compare(Request $request, Squad $squad): JsonResponse
    {
        $given = $request->validate(['days' => ['required', 'integer:strict', 'between:1,366'], 'definition' => ['required', 'array']]);
        [$other] = $this->book->draft($given['definition'], 'draft', 1);

        return response()->json($this->screen->compare($request->user(), $squad, $other, $given['days']));
    }

    #[Answers(LimitsView::class)]
    public function assign(Request $request, Squad $squad): JsonResponse
    {
        $this->book->assign($squad, $request->validate(['rule_set' => ['required', 'string']])['rule_set'], $request->user());

        return response()->json($this->screen->view($request->user(), $squad->refresh()));
    }

    #[Answers(LimitsView::class)]
    public function share(Request $request, Athlete $athlete): JsonResponse
    {
        $given = $request->validate(
            [
                'limit_id' => ['required', 'string'],
                'share' => ['required', 'numeric:strict', 'between:0,2'],
                'reason' => ['present', 'nullable', 'string', 'max:300'],
            ],
            ['share.between' => 'A share lies between 0 and 200 %.'],
        );
        $this->book->share($athlete, $given['limit_id'], (float) $given['share'], $given['reason'] ?? '', $request->user());
        /** @var Squad $squad */
        $squad = $athlete->squads()->orderBy('squads.id')->firstOrFail();

        return response()->json($this->screen->view($request->user(), $squad));
    }
}
