<?php

declare(strict_types=1);

namespace App\Spreadsheets;

use App\Http\Answers;
use App\Http\Asked;
use App\Http\PartRequest;
use App\Spreadsheets\Answers\ImportRowsView;
use App\Spreadsheets\Answers\ImportsView;
use App\Spreadsheets\Answers\ImportView;
use App\Spreadsheets\Requests\ImportChoicesRequest;
use App\Spreadsheets\Requests\ImportRequest;
use App\Spreadsheets\Requests\ImportTakeBackRequest;
use App\Spreadsheets\Requests\ImportTakeRequest;
use Augendo\Core\Spreadsheets\Verdict;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

/** Spreadsheets come in: read, looked at, taken in as a whole, taken back as a whole. */
final class ImportController
{
    public function __construct(private readonly Imports $imports, private readonly ImportScreen $screen) {}

    #[Answers(ImportsView::class)]
    public function index(Request $request): JsonResponse
    {
        return response()->json($this->screen->all($request->user()));
    }

    #[Answers(ImportView::class)]
    public function open(ImportRequest $request): JsonResponse
    {
        return response()->json($this->screen->view($this->imports->open($request->validated(), $request->user())));
    }

    #[Answers(ImportView::class)]
    public function show(Import $import): JsonResponse
    {
        return response()->json($this->screen->view($import));
    }

    #[Answers(ImportView::class)]
    public function part(PartRequest $request, Import $import, string $no): JsonResponse
    {
        $this->imports->part($import, (int) $no, $request->validated('base64'));

        return $this->show($import->refresh());
    }

    #[Answers(ImportView::class)]
    public function choose(ImportChoicesRequest $request, Import $import): JsonResponse
    {
        $this->imports->choose($import, $request->choices(), $request->validated('version'));

        return $this->show($import->refresh());
    }

    #[Answers(ImportRowsView::class, query: ['verdict' => 'string', 'after' => 'integer'])]
    public function rows(Request $request, Import $import): JsonResponse
    {
        $verdict = Verdict::tryFrom(Asked::text($request, 'verdict')) ?? Verdict::Unusable;

        return response()->json($this->screen->rows($import, $verdict, max(0, $request->integer('after'))));
    }

    #[Answers(ImportView::class)]
    public function take(ImportTakeRequest $request, Import $import): JsonResponse
    {
        $given = $request->validated();
        $this->imports->take($import, $given['also'], $given['without_unusable'], $given['version']);

        return $this->show($import->refresh());
    }

    #[Answers(ImportView::class)]
    public function takeBack(ImportTakeBackRequest $request, Import $import): JsonResponse
    {
        $this->imports->takeBack($import, $request->validated('reason'), $request->validated('version'));

        return $this->show($import->refresh());
    }

    #[Answers(ImportsView::class)]
    public function drop(Request $request, Import $import): JsonResponse
    {
        $this->imports->drop($import);

        return $this->index($request);
    }
}
