<?php

declare(strict_types=1);

namespace App\Limits;

use App\Athletes\Athlete;
use App\Athletes\Squad;
use App\Http\Answers;
use App\Http\DocumentRequest;
use App\Library\Answers\DocumentView;
use App\Limits\Answers\LimitsView;
use App\Limits\Answers\RuleCompareView;
use App\Limits\Requests\LimitShareRequest;
use App\Limits\Requests\RuleCompareRequest;
use App\Limits\Requests\RuleSetRequest;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

final class LimitsController
{
    public function __construct(private readonly LimitsScreen $screen, private readonly RuleSets $ruleSets) {}

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
        return response()->json(DocumentView::ofAll($this->ruleSets->all($request->user()->workspace_id)));
    }

    #[Answers(DocumentView::class, list: true)]
    public function saveRuleSet(DocumentRequest $request): JsonResponse
    {
        $given = $request->validated();
        $this->ruleSets->save($given['definition'], $given['version'], $request->user());

        return $this->ruleSets($request);
    }

    #[Answers(RuleCompareView::class)]
    public function compare(RuleCompareRequest $request, Squad $squad): JsonResponse
    {
        $given = $request->validated();
        [$other] = $this->ruleSets->draft($given['definition'], 'draft', 1);

        return response()->json($this->screen->compare($request->user(), $squad, $other, $given['days']));
    }

    #[Answers(null)]
    public function assign(RuleSetRequest $request, Squad $squad): JsonResponse
    {
        $this->ruleSets->assign($squad, $request->validated('rule_set'), $request->user());

        return response()->json(status: 204);
    }

    #[Answers(null)]
    public function share(LimitShareRequest $request, Athlete $athlete): JsonResponse
    {
        $given = $request->validated();
        $this->ruleSets->share($athlete, $given['limit_id'], (float) $given['share'], $given['reason'] ?? '', $request->user());

        return response()->json(status: 204);
    }
}
