<?php

declare(strict_types=1);

namespace App\Film\Requests;

use Augendo\Core\Frames\SentClip;
use Illuminate\Foundation\Http\FormRequest;

/** In how many parts the clip was sent. */
final class FilmClipRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return ['parts' => ['required', 'integer:strict', 'between:1,'.SentClip::MOST_PARTS]];
    }
}
