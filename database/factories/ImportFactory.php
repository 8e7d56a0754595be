<?php

declare(strict_types=1);

namespace Database\Factories;

use App\Spreadsheets\Import;
use App\Spreadsheets\ImportState;
use Augendo\Core\Spreadsheets\Kind;
use Illuminate\Database\Eloquent\Factories\Factory;
use Illuminate\Support\Carbon;

/** @extends Factory<Import> */
final class ImportFactory extends Factory
{
    protected $model = Import::class;

    /** @return array<string, mixed> */
    public function definition(): array
    {
        return [
            'workspace_id' => WorkspaceFactory::new(), 'kind' => Kind::Work, 'file_name' => 'work.csv', 'parts' => 1,
            'state' => ImportState::Arriving, 'made_by' => UserFactory::new(), 'made_at' => Carbon::now(),
        ];
    }
}
