<?php

declare(strict_types=1);

namespace App\Library;

use App\Library\Answers\DrillCardView;
use App\Library\Answers\DrillsView;
use App\Library\Answers\FigurePoseView;
use App\Library\Answers\PictureView;
use App\People\User;
use App\Wording\FilmWording;
use App\Wording\LadderWording;
use Augendo\Core\Library\DrillCard;
use Augendo\Core\Library\DrillWanted;
use Augendo\Core\Library\Handedness;
use Augendo\Core\Library\Library;
use Augendo\Core\Library\Pose;
use Augendo\Core\Load\Channel;

/** Which drill mends it, with the people, the place and the body there are today? */
final class DrillsScreen
{
    public function __construct(
        private readonly Library $library,
        private readonly Ladders $shelf,
        private readonly ClubDrills $drills,
    ) {}

    public function find(User $user, string $words, Handedness $hand): DrillsView
    {
        $cards = DrillCard::all(
            array_map($this->library->ladder(...), $this->shelf->ids($user->workspace_id)),
            array_values($this->drills->known($user->workspace_id)),
        );
        $wanted = DrillWanted::of($words);
        $skills = $this->library->skillNames();

        return new DrillsView(
            understood: LadderWording::wanted($wanted),
            refers: match (true) {
                $wanted->refers() => LadderWording::REFERS,
                $wanted->asksWhere() => LadderWording::WHERE,
                default => null,
            },
            all: count($cards),
            drills: array_map(
                fn (DrillCard $card): DrillCardView => $this->card($card, $hand, $skills[$card->skill->id]),
                $wanted->find($cards),
            ),
        );
    }

    /** @return list<PictureView> all there are, as a right-hander is drawn */
    public function pictures(): array
    {
        $pictures = $this->library->figures()->pictures;

        return array_map(
            fn (string $id, Pose $pose): PictureView => new PictureView($id, FigurePoseView::of($pose, Handedness::Right)),
            array_keys($pictures), $pictures,
        );
    }

    private function card(DrillCard $card, Handedness $hand, string $skill): DrillCardView
    {
        $mirror = fn (string $text): string => ucfirst($hand->mirror($text));

        return new DrillCardView(
            title: $mirror($card->title),
            text: $mirror($card->text),
            mends: $card->mends,
            cue: $mirror($card->cue),
            dose: $card->dose->reps === 0
                ? ''
                : ($card->sets > 1 ? "{$card->sets} sets, " : '').FilmWording::drillDose($card->dose),
            stop: $card->stop === null ? null : $mirror($card->stop),
            ladders: $card->ladders,
            skill: $skill,
            with: $card->with->value,
            loads: array_map(fn (Channel $channel): string => $channel->value, $card->loads),
            far: $card->far,
            safety: $card->safety,
            picture: FigurePoseView::ofPicture($this->library->figures(), $card->picture, $hand),
            seated: $card->seated,
        );
    }
}
