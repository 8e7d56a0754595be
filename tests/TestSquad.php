<?php

declare(strict_types=1);

namespace Tests;

use App\People\Role;
use Database\Seeders\Club;
use Database\Seeders\Story;
use Database\Seeders\Storyteller;
use Illuminate\Database\Seeder;
use Illuminate\Support\Facades\DB;

/** The squad that feature tests are about, each athlete in the state some of them need. The demo may change without them. */
final class TestSquad extends Seeder
{
    private const SERVE = 'volleyball-float-serve';

    private const JAVELIN = 'javelin-throw';

    private const BLOCK = 'block-jump-landing';

    public function run(): void
    {
        $people = [
            'coach' => 'Anneke Duarte', 'assistant' => 'Felix Moreau', 'clinician' => 'Dr. Samira Lund',
            'guardian' => 'Leila Haddad', 'athlete' => 'Yuna Petrovic',
        ];
        DB::transaction(fn () => Storyteller::tellSquad(
            Club::found('Lighthouse Throwing Club', 'Harbour squad', $people, 'lighthouse.example', 'lighthouse'),
            $this->stories(), judgedAlong: ['Pia' => 3, 'Yuna' => 11], season: 'Mira',
        ));
    }

    /** @return list<Story> */
    private function stories(): array
    {
        return [
            // Ready to advance: two weeks of good serves, checked in, nothing sore.
            new Story(
                'Mira', 'Okonjo', 17, 'right', self::SERVE, 'short', 'line', 20, 0.92, 'toss-behind',
                marks: ['float-serve' => [null, 19.0]],
            ),
            // Near a limit: javelin here, volleyball serves at another club, one arm.
            new Story(
                'Tomas', 'Brandvik', 15, 'right', self::JAVELIN, 'three-step', 'five-step', 18, 0.8, 'arm-early',
                marks: ['javelin' => [41.0, null]], fill: 0.96,
            ),
            // Short of evidence: new on the rung.
            new Story('Ilse', 'Varga', 13, 'left', self::SERVE, 'wall', 'short', 3, 0.85, 'off-centre'),
            // Not checked in.
            new Story('Jonah', 'Adeyemi', 16, 'right', self::BLOCK, 'jump-stick', 'block', 16, 0.82, 'drift', today: null),
            // Reduced: a shoulder that aches a little.
            new Story(
                'Yuna', 'Petrovic', 19, 'right', self::SERVE, 'line', 'thirds', 24, 0.78, 'off-centre',
                today: [['shoulder', 'right', 'muscle', 4]], sharedWith: [Role::Clinician, Role::Athlete],
            ),
            // None for the landings: a child’s knee; the rest of her may train.
            new Story(
                'Noor', 'Haddad', 12, 'right', self::BLOCK, 'stick', 'jump-stick', 15, 0.84, 'one-foot',
                today: [['knee', 'left', 'joint', 2]], heights: [[84, 148.0], [5, 150.6]], sharedWith: [Role::Clinician, Role::Guardian],
            ),
            // Refer: an ankle swelled two days ago and nobody has cleared it.
            new Story(
                'Sofie', 'Marchetti', 13, 'left', self::BLOCK, 'block', 'step-block', 14, 0.83, 'drift',
                referral: ['ankle', 'left', 'swelling', 3, 2], sharedWith: [Role::Clinician],
            ),
            // Stepping back: the old fault has returned.
            new Story('Kaito', 'Brennan', 11, 'right', self::SERVE, 'pose', 'wall', 22, 0.28, 'low-elbow'),
            // Full as most schools see it, reduced as the strict one does.
            new Story(
                'Dario', 'Nwosu', 28, 'right', self::SERVE, 'thirds', 'pace', 21, 0.75, 'toss-behind',
                today: [['shoulder', 'right', 'muscle', 2]],
            ),
            // Foot of the ladder, eight years old.
            new Story('Ravi', 'Castellan', 8, 'right', self::SERVE, null, 'toss', 25, 0.7, 'toss-high'),
            // Repeats: not yet good enough.
            new Story(
                'Pia', 'Lindgren', 10, 'right', self::JAVELIN, 'hold', 'kneel', 20, 0.62, 'pulls-down',
                marks: ['javelin' => [14.0, null]],
            ),
            // The eldest, left-handed, not checked in; on the way back and waiting for the clearance before full effort.
            new Story(
                'Henrike', 'Osei', 41, 'left', self::JAVELIN, 'five-step', 'lane', 60, 0.86, 'point-out',
                today: null, marks: ['javelin' => [33.0, null]], sharedWith: [Role::Clinician],
                return: [
                    'programme' => 'throws-distance-first', 'site' => 'elbow', 'opened' => 34, 'stage' => 5, 'cleared' => [33, 4],
                    'attempts' => [[30, 0], [27, 1], [24, 2], [21, 3], [18, 3], [13, 4], [9, 4], [3, 4]],
                ],
            ),
            // On the way back at stage three: one clean pass of two.
            new Story(
                'Luca', 'Ferreira', 22, 'right', self::SERVE, 'short', 'line', 60, 0.88, 'off-centre',
                marks: ['float-serve' => [null, 21.0]], sharedWith: [Role::Clinician],
                return: [
                    'programme' => 'serves-effort-first', 'site' => 'shoulder', 'opened' => 12, 'stage' => 2,
                    'cleared' => [11, 6], 'attempts' => [[8, 0], [5, 1], [2, 2]],
                ],
            ),
        ];
    }
}
