<?php

declare(strict_types=1);

namespace App\Library\Requests;

use App\Http\Asked;
use Augendo\Core\Library\Library;
use Augendo\Core\Library\SizeTable;
use Closure;
use Illuminate\Foundation\Http\FormRequest;

/** What an athlete throws of one kind of object; null: by age and hand. */
final class OwnSizeRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'table' => ['required', 'string', $this->isATable(...)],
            'object' => ['present', 'nullable', 'string', $this->isOfTheTable(...)],
        ];
    }

    private function isATable(string $attribute, mixed $value, Closure $fail): void
    {
        if (! is_string($value) || ! isset($this->tables()[$value])) {
            $fail('Choose a table of the library.');
        }
    }

    private function isOfTheTable(string $attribute, mixed $value, Closure $fail): void
    {
        $table = $this->tables()[Asked::text($this, 'table')] ?? null;
        if ($table !== null && is_string($value) && $table->size($value) === null) {
            $fail("Choose one of the sizes of “{$table->name}”.");
        }
    }

    /** @return array<string, SizeTable> */
    private function tables(): array
    {
        return app(Library::class)->sizes()->tables;
    }
}
