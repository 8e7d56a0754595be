<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Answers;
use App\Http\Views\DocumentView;
use App\Records\ProgrammeBook;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

final class ProgrammeController
{
    public function __construct(private readonly ProgrammeBook $book) {}

    #[Answers(DocumentView::class, list: true)]
    public function show(Request $request): JsonResponse
    {
        $all = $this->book->all($request->user()->workspace_id);

        return response()->json(array_map(fn (string $id, array $kept): DocumentView => new DocumentView(
            $id, $kept['document']->name, $kept['own'], $kept['document']->version,
            json_decode($kept['definition'], false, 512, JSON_THROW_ON_ERROR),
        ), array_keys($all), $all));
    }

    #[Answers(DocumentView::class, list: true)]
    public function save(Request $request): JsonResponse
    {
        $given = $request->validate(['version' => ['required', 'integer:strict', 'min:0'], 'definition' => ['required', 'array']]);
        $this->book->save($given['definition'], $given['version'], $request->user());

        return $this->show($request);
    }
}
