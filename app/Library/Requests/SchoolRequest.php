<?php

declare(strict_types=1);

namespace App\Library\Requests;

use App\Http\Asked;
use App\Library\KnownLadder;
use Augendo\Core\Library\SchoolQuestion;
use Closure;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;

/** One answer of a school, for one ladder or all. */
final class SchoolRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'ladder' => ['present', 'nullable', 'string', new KnownLadder($this->user()->workspace_id)],
            'question' => ['required', Rule::enum(SchoolQuestion::class)],
            'answer' => ['present', 'nullable', 'string', $this->isAnAnswer(...)],
        ];
    }

    public function question(): SchoolQuestion
    {
        return SchoolQuestion::from($this->validated('question'));
    }

    private function isAnAnswer(string $attribute, mixed $value, Closure $fail): void
    {
        $question = SchoolQuestion::tryFrom(Asked::text($this, 'question'));
        if ($question !== null && ! in_array($value, $question->answers(), true)) {
            $fail('Choose one of the answers to this question.');
        }
    }
}
