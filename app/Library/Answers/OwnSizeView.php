<?php

declare(strict_types=1);

namespace App\Library\Answers;

use App\Athletes\Answers\NamedView;
use Augendo\Core\Library\OwnSize;

/** What an athlete throws of one kind of object, and why. */
final readonly class OwnSizeView
{
    public function __construct(
        /** id of the table */
        public string $table,
        public string $name,
        /** what is thrown */
        public string $own,
        /** id of the size that was chosen; null: by age and hand */
        public ?string $chosen,
        /** what it would be by age and hand */
        public string $by_table,
        /** heavier than the table has at this age, or for this hand */
        public bool $heavier,
        /** @var list<NamedView> the lightest first */
        public array $sizes,
    ) {}

    public static function of(OwnSize $own): self
    {
        return new self(
            table: $own->table->id,
            name: $own->table->name,
            own: $own->thrown()->name,
            chosen: $own->chosen?->id,
            by_table: $own->byTable->name,
            heavier: $own->isHeavier(),
            sizes: NamedView::ofObjects($own->table->sizes),
        );
    }
}
