<?php

declare(strict_types=1);

namespace App\Sessions\Requests;

use App\Http\UuidV7;
use Augendo\Core\Library\Library;
use Augendo\Core\Load\Surface;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;

/** A venue with what is there; nothing said is not known. */
final class VenueRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'id' => ['required', new UuidV7],
            'name' => ['required', 'string', 'max:80'],
            'length_m' => ['present', 'nullable', 'numeric:strict', 'gt:0', 'max:500'],
            'width_m' => ['present', 'nullable', 'numeric:strict', 'gt:0', 'max:500'],
            'floor' => ['present', 'nullable', Rule::enum(Surface::class)],
            'balls' => ['present', 'nullable', 'integer:strict', 'between:0,500'],
            'objects' => ['present', 'nullable', 'array', 'list', 'max:100'],
            'objects.*' => [Rule::in(array_keys(app(Library::class)->objects()))],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'length_m.gt' => 'A venue is longer than 0 m.', 'width_m.gt' => 'A venue is wider than 0 m.',
            'balls.between' => 'Balls lie between 0 and 500.',
        ];
    }
}
