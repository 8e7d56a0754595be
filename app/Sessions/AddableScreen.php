<?php

declare(strict_types=1);

namespace App\Sessions;

use App\Sessions\Answers\AddableView;
use App\Wording\SheetWording;
use App\Wording\Wording;
use Augendo\Core\Planning\BlockPlan;
use Augendo\Core\Planning\WorkSource;

/** What may be put on a sheet, each with the dose it would have and whether today allows it. */
final class AddableScreen
{
    /** @return list<AddableView> */
    public static function view(OpenSheet $open): array
    {
        $found = $open->addable();

        return array_map(
            fn (string $key, WorkSource $source): AddableView => self::one($open, $key, $source), array_keys($found), $found,
        );
    }

    private static function one(OpenSheet $open, string $key, WorkSource $source): AddableView
    {
        $dose = $source->dose;
        $isOwn = $source->from === 'ladder' && $source->ladder === $open->sheet->ladder && $source->rung === $open->sheet->rung;

        return new AddableView(
            key: $key,
            group: app(SheetWording::class)->group($source->from, $source->ladder, $source->rung, $source->name),
            from: $isOwn ? 'rung' : $source->from,
            template_id: $source->from === 'template' ? SheetTemplate::idIn($key) : null,
            kind_name: Wording::blockKind($dose->kind),
            title: $dose->title,
            text: $open->side()->mirror($dose->text),
            sets: $dose->sets,
            reps: $dose->sets * $dose->reps,
            effort: $dose->effort,
            distance_m: $dose->distanceM,
            rest_s: $dose->restS,
            hold_s: $dose->holdS,
            object: $dose->object->id,
            side: $dose->side->value,
            surface: $dose->surface?->value,
            judged: $dose->judged,
            place: $dose->kind->place(),
            why_not: SheetWording::whyNot(
                $open->frame()->wordFor(BlockPlan::asAsked($dose)), $open->allowed()->restingIn($dose),
            ),
        );
    }
}
