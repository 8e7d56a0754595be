<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Answers;
use App\Http\Views\GatesView;
use App\Http\Views\LibraryLadderView;
use App\Http\Views\LibraryRowView;
use App\Screens\GatesScreen;
use App\Screens\LibraryScreen;
use Augendo\Core\Library\Handedness;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

final class LibraryController
{
    #[Answers(LibraryRowView::class, list: true)]
    public function all(LibraryScreen $screen): JsonResponse
    {
        return response()->json($screen->all());
    }

    #[Answers(LibraryLadderView::class, query: ['hand' => 'string'])]
    public function ladder(Request $request, string $ladder, LibraryScreen $screen): JsonResponse
    {
        return response()->json($screen->ladder($ladder, Handedness::tryFrom($request->string('hand')->toString()) ?? Handedness::Right));
    }

    #[Answers(GatesView::class, query: ['squad' => 'integer'])]
    public function gates(Request $request, GatesScreen $screen): JsonResponse
    {
        return response()->json($screen->view($request->user(), $request->user()->squadOrFirst($request->has('squad') ? $request->integer('squad') : null)));
    }
}
