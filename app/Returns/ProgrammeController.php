<?php

declare(strict_types=1);

namespace App\Returns;

use App\Http\Answers;
use App\Http\DocumentRequest;
use App\Library\Answers\DocumentView;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

final class ProgrammeController
{
    public function __construct(private readonly Programmes $programmes) {}

    #[Answers(DocumentView::class, list: true)]
    public function show(Request $request): JsonResponse
    {
        return response()->json(DocumentView::ofAll($this->programmes->all($request->user()->workspace_id)));
    }

    #[Answers(DocumentView::class, list: true)]
    public function save(DocumentRequest $request): JsonResponse
    {
        $given = $request->validated();
        $this->programmes->save($given['definition'], $given['version'], $request->user());

        return $this->show($request);
    }
}
