<?php

declare(strict_types=1);

namespace Augendo\Core\Library;

use Augendo\Core\CopiesItself;
use Augendo\Core\Flight\Court;

/** A court to serve in, as its server sees it. */
final readonly class LibraryCourt
{
    use CopiesItself;

    /**
     * @param  float  $netM  from the base line
     * @param  int  $tries  serves to bring a ball in
     * @param  float  $usualSpeedMs  begun with where none is on record
     * @param  float  $reachShare  height of contact, of the body's
     * @param  list<string>  $skills  ids of the serves it is for
     * @param  list<array{name: string, height_m: float}>  $nets
     * @param  NetSag|null  $sag  how the net hangs; null: as high at the side as in the middle
     * @param  list<array{name: string, across_m: float}>  $stands  to the left of the middle above 0
     * @param  array<string, CourtBox>  $boxes  by id
     */
    public function __construct(
        public string $id,
        public string $name,
        public float $netM,
        public float $halfWidthM,
        public int $tries,
        public float $usualSpeedMs,
        public float $reachShare,
        public array $skills,
        public array $nets,
        public array $stands,
        public array $boxes,
        public ?NetSag $sag = null,
    ) {}

    /**
     * The height of the usual net where a serve into the middle of a box crosses it.
     *
     * @param  float  $contactM  in front of the base line; behind it below 0
     * @param  float  $acrossM  to the left of the middle above 0
     */
    public function netWhereItCrosses(float $contactM, float $acrossM, CourtBox $box): float
    {
        $middleM = ($box->nearM + $box->farM) / 2;
        $share = ($this->netM - $contactM) / ($this->netM - $contactM + $middleM);

        return $this->sag?->heightAt($acrossM + $share * (($box->rightM + $box->leftM) / 2 - $acrossM)) ?? $this->nets[0]['height_m'];
    }

    /** The same court with the nets, the speeds and the places of another. */
    public function withNetsOf(self $own): self
    {
        return $this->with([
            'usualSpeedMs' => $own->usualSpeedMs, 'reachShare' => $own->reachShare, 'nets' => $own->nets, 'sag' => $own->sag,
            'stands' => $own->stands,
        ]);
    }

    /** @return string|null the key of its file at which it is drawn otherwise than another; null: its lines are the same */
    public function drawnOtherwise(self $other): ?string
    {
        return match (true) {
            abs($this->netM - $other->netM) > 1e-9 => 'net_m',
            abs($this->halfWidthM - $other->halfWidthM) > 1e-9 => 'half_width_m',
            $this->tries !== $other->tries => 'tries',
            $this->skills !== $other->skills => 'serves',
            $this->boxes != $other->boxes => 'boxes',
            default => null,
        };
    }

    /**
     * As the ball leaves it: from where it is hit.
     *
     * @param  float  $contactM  in front of the base line; behind it below 0
     * @param  float  $acrossM  to the left of the middle above 0
     */
    public function seenFrom(float $contactM, float $acrossM, float $netHeightM, CourtBox $box): Court
    {
        $net = $this->netM - $contactM;

        return new Court(
            netM: $net,
            netHeightM: $netHeightM,
            nearM: $net + $box->nearM,
            farM: $net + $box->farM,
            rightM: $box->rightM - $acrossM,
            leftM: $box->leftM - $acrossM,
        );
    }
}
