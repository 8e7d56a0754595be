<?php

declare(strict_types=1);

namespace App\Devices\Requests;

use App\Devices\ReadingBatch;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\ValidationException;

/** What a device sends at once: JSON, or CSV with the names of a reading as titles. */
final class ReadingsRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'device_clock' => ['nullable', 'string', 'max:40', 'date'],
            'battery' => ['nullable', 'numeric', 'between:0,1'],
            'readings' => ['present', 'array', 'max:'.ReadingBatch::MOST],
            'readings.*.id' => ['required', 'uuid', 'distinct:strict'],
            'readings.*.seq' => ['required', 'integer', 'between:0,2000000000'],
            'readings.*.at' => ['required', 'string', 'max:40', 'date'],
            'readings.*.speed_ms' => ['nullable', 'numeric', 'between:0.5,90'],
            'readings.*.peak_deg_s' => ['nullable', 'numeric', 'between:0,20000'],
            'readings.*.guess' => ['nullable', 'string', 'max:40'],
            'readings.*.contact_s' => ['nullable', 'numeric', 'between:0.01,10'],
            'readings.*.height_m' => ['nullable', 'numeric', 'between:0,2'],
            'readings.*.interval_s' => ['nullable', 'numeric', 'between:0.1,600'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'readings.max' => 'At most '.ReadingBatch::MOST.' readings at a time. Send them in parts.',
            'readings.*.id.distinct' => 'A reading has an id of its own.',
            'readings.*.at.date' => 'Write when it was as 2027-05-22T09:15:00.250+01:00.',
        ];
    }

    /** @return array<array-key, mixed> */
    public function validationData(): array
    {
        $data = str_starts_with((string) $this->header('Content-Type'), 'text/csv')
            ? ['device_clock' => $this->query('device_clock'), 'readings' => self::rows((string) $this->getContent())]
            : parent::validationData();
        // One id written in other letters is the same reading. What is no list, or no text, is left to the rules.
        foreach (is_array($data['readings'] ?? null) ? $data['readings'] : [] as $i => $reading) {
            if (is_array($reading) && is_string($reading['id'] ?? null)) {
                $data['readings'][$i]['id'] = strtolower($reading['id']);
            }
        }

        return $data;
    }

    /**
     * @return list<array<string, string|null>> by title; one more than may come at most
     *
     * @throws ValidationException
     */
    private static function rows(string $text): array
    {
        $stream = fopen('php://temp', 'r+b');
        if ($stream === false) {
            throw ValidationException::withMessages(['readings' => ['There is no room to read this.']]);
        }
        fwrite($stream, $text);
        rewind($stream);
        $titles = array_map(
            fn (?string $title): string => trim((string) $title, " \u{feff}"), fgetcsv($stream, null, ',', '"', '') ?: [],
        );
        $rows = [];
        while (($row = fgetcsv($stream, null, ',', '"', '')) !== false && count($rows) <= ReadingBatch::MOST) {
            if ($row === [null]) {
                continue;
            }
            if (count($row) !== count($titles)) {
                throw ValidationException::withMessages(['readings.'.count($rows) => [
                    'Line '.(count($rows) + 2).' has '.count($row).' cells, the titles '.count($titles).'.',
                ]]);
            }
            $rows[] = array_map(fn (?string $cell): ?string => $cell === '' ? null : $cell, array_combine($titles, $row));
        }
        fclose($stream);

        return $rows;
    }
}
