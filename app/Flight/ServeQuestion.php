<?php

declare(strict_types=1);

namespace App\Flight;

use Augendo\Core\Flight\ServeAdvice;

/** What may be asked of a serve, in the address; what is not said is held to be as usual. */
final class ServeQuestion
{
    private const MOST = 1000;

    /** @return array<string, mixed> */
    public static function rules(): array
    {
        $count = ['nullable', 'integer', 'between:0,'.self::MOST];
        $share = ['nullable', 'numeric', 'between:0,1'];
        $spin = ['nullable', 'numeric', 'between:-'.(int) ServeAdvice::MOST_RPM.','.(int) ServeAdvice::MOST_RPM];

        return [
            'skill' => ['nullable', 'string', 'max:80'],
            'court' => ['nullable', 'string', 'max:80'],
            'box' => ['nullable', 'string', 'max:80'],
            'net_height_m' => ['nullable', 'numeric', 'between:0.5,3'],
            'contact_m' => ['nullable', 'numeric', 'between:-3,4'],
            'across_m' => ['nullable', 'numeric', 'between:-10,10'],
            'height_m' => ['nullable', 'numeric', 'between:0.5,4.5'],
            'speed_ms' => ['nullable', 'numeric', 'between:4,75'],
            'topspin_rpm' => $spin,
            'sidespin_rpm' => $spin,
            'in' => $count, 'net' => $count, 'long' => $count, 'right' => $count, 'left' => $count,
            'goal' => $share, 'second' => $share, 'won_first' => $share, 'won_second' => $share,
        ];
    }

    /** @return array<string, string> */
    public static function messages(): array
    {
        return [
            'net_height_m.between' => 'A net is 0.5 to 3 m high.',
            'contact_m.between' => 'A serve is hit up to 3 m behind and 4 m in front of the base line.',
            'height_m.between' => 'A serve is hit 0.5 to 4.5 m above the ground.',
            'speed_ms.between' => 'A serve leaves at 4 to 75 m/s.',
            'topspin_rpm.between' => 'A ball turns at most 3,000 times a minute.',
            'sidespin_rpm.between' => 'A ball turns at most 3,000 times a minute.',
        ];
    }
}
