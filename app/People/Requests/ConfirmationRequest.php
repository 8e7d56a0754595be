<?php

declare(strict_types=1);

namespace App\People\Requests;

use Illuminate\Foundation\Http\FormRequest;

/** The code a clinician reads out, face to face. */
final class ConfirmationRequest extends FormRequest
{
    /** Whose code it is is settled first: of another club nothing is told. */
    public function authorize(): bool
    {
        return $this->user()->colleague((int) $this->route('person'))->exists;
    }

    /** @return array<string, mixed> */
    public function rules(): array
    {
        return ['code' => ['required', 'string', 'max:20']];
    }
}
