<?php

declare(strict_types=1);

namespace App\Library\Requests;

use Augendo\Core\Cases\CaseError;
use Augendo\Core\Cases\GateReader;
use Augendo\Core\Cases\Node;
use Augendo\Core\Gates\Gate;
use Augendo\Core\Gates\LetThrough;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\ValidationException;

/** A gate as a ladder has it, and how many repetitions of a session are judged. */
final class LetThroughRequest extends FormRequest
{
    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return ['gate' => ['present', 'array', 'max:20'], 'reps' => ['required', 'integer:strict', 'between:1,'.LetThrough::REPS_AT_MOST]];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'gate.present' => 'Send the gate as the ladder has it; empty: as usual.',
            'reps.between' => 'A session has 1 to '.LetThrough::REPS_AT_MOST.' judged repetitions.',
        ];
    }

    public function gate(): Gate
    {
        try {
            return GateReader::read(Node::parse((string) json_encode((object) $this->validated('gate'))));
        } catch (CaseError $error) {
            throw ValidationException::withMessages([
                'gate'.str_replace('/', '.', $error->path) => $error->getMessage(),
            ]);
        }
    }
}
