import type { LibraryLadder } from '../api/client';

type Pose = LibraryLadder['figures'][number];
type Point = [x: number, y: number];

const TRUNK = 46;
const UPPER_ARM = 24;
const FOREARM = 23;
const THIGH = 34;
const SHIN = 34;
const HEAD = 9;

/**
 * From a joint along an angle: 0 hangs straight down, positive swings towards the target, to the right of the
 * picture.
 */
const along = ([x, y]: Point, degrees: number, length: number): Point => [
    x + length * Math.sin((degrees * Math.PI) / 180),
    y + length * Math.cos((degrees * Math.PI) / 180),
];
const line = (...points: Point[]): string =>
    points.map(([x, y], i) => `${i === 0 ? 'M' : 'L'}${x.toFixed(1)} ${y.toFixed(1)}`).join('');

/**
 * A key position drawn from its joint angles; the throwing arm is heavy, the far side light. A left-hander sees it
 * from the other side. A small one stands beside the words of a drill and says the rest to a screen reader.
 */
export function Figure({ pose, small = false }: { pose: Pose; small?: boolean }) {
    const joints = jointsOf(pose);
    const { shoulder, head, hand, frontHand, ground } = joints;
    // Room above for whatever is highest: the head, a hand, or what the hand holds.
    const reach =
        Math.ceil(
            Math.max(
                -head[1] + HEAD,
                -hand[1] + (pose.tool === 'racket' && hand[1] < shoulder[1] ? 50 : 14),
                -frontHand[1] + 4,
            ),
        ) + 3;
    return (
        <figure className="grid gap-1">
            <svg
                viewBox={`-78 ${-reach} 156 ${Math.ceil(ground + 4 + reach)}`}
                className={small ? 'block h-24 w-24' : 'block h-52 w-full'}
                role="img"
                aria-label={`${pose.name}: ${pose.text}`}
            >
                <g
                    transform={pose.mirrored ? 'scale(-1 1)' : undefined}
                    fill="none"
                    strokeLinecap="round"
                    strokeLinejoin="round"
                >
                    <path d={`M-70 ${ground}H70`} stroke="var(--color-line)" strokeWidth="2" />
                    {pose.beside && <Beside what={pose.beside} joints={joints} />}
                    <Body pose={pose} joints={joints} />
                </g>
            </svg>
            {!small && (
                <figcaption className="text-sm">
                    <span className="head">{pose.name}.</span> <span className="text-soft">{pose.text}.</span>
                </figcaption>
            )}
        </figure>
    );
}

function Body({ pose, joints }: { pose: Pose; joints: Joints }) {
    const { hip, shoulder, head, knee, foot, backKnee, backFoot, elbow, hand, frontElbow, frontHand } = joints;
    const far = { stroke: 'var(--color-soft)', opacity: 0.75 };
    return (
        <>
            <path d={line(shoulder, frontElbow, frontHand)} strokeWidth="4" {...far} />
            <path d={line(hip, backKnee, backFoot)} strokeWidth="5" {...far} />
            <path d={line(backFoot, along(backFoot, 84, 9))} strokeWidth="4" {...far} />
            <path d={line(hip, shoulder)} stroke="var(--color-ink)" strokeWidth="8" />
            <path d={line(hip, knee, foot)} stroke="var(--color-ink)" strokeWidth="5.5" />
            <path d={line(foot, along(foot, 84, 10))} stroke="var(--color-ink)" strokeWidth="4.5" />
            <circle cx={head[0]} cy={head[1]} r={HEAD} fill="var(--color-ink)" stroke="none" />
            {pose.tool !== 'ball' && <Held pose={pose} hand={hand} />}
            <path d={line(shoulder, elbow, hand)} stroke="var(--color-ink)" strokeWidth="5.5" />
            {[shoulder, elbow, hip, knee].map(([x, y], i) => (
                <circle key={i} cx={x} cy={y} r="2.6" fill="var(--color-tape)" stroke="none" />
            ))}
            {pose.tool === 'ball' && <Held pose={pose} hand={hand} />}
        </>
    );
}

/** What is stood at, sat on or thrown over. */
function Beside({ what, joints }: { what: string; joints: Joints }) {
    const { head, hip, knee, foot, backFoot, hand, frontHand, ground } = joints;
    const top = head[1] - HEAD - 8;
    const wall = (x: number) => `M${x} ${ground}V${top}`;
    const solid = { stroke: 'var(--color-soft)', strokeWidth: 4 };
    const dashed = { stroke: 'var(--color-soft)', strokeWidth: 2.5, strokeDasharray: '5 5' };
    const drawn: Record<string, [d: string, style: object]> = {
        bench: [`M-22 ${hip[1] + 6}H26M-16 ${hip[1] + 6}V${ground}M20 ${hip[1] + 6}V${ground}`, solid],
        wall_front: [wall(Math.min(72, Math.max(hand[0], frontHand[0], foot[0]) + 8)), solid],
        wall_behind: [wall(Math.max(-70, Math.min(hand[0], backFoot[0], -12) - 8)), solid],
        fence: [wall(64), dashed],
        fence_behind: [wall(-68), dashed],
        net: [`M34 ${head[1] + 4}V${ground}`, dashed],
        barrier: [`M${Math.min(66, frontHand[0] + 4)} ${frontHand[1] + 2}V${ground}`, solid],
        rope: [
            `M58 ${ground}V${head[1] + 2}m-2.5 0a2.5 2.5 0 1 0 5 0a2.5 2.5 0 1 0 -5 0`,
            { ...solid, strokeWidth: 2.5 },
        ],
        bar: [`M-14 ${hand[1] - 6}H40`, solid],
        marks: [`M-40 ${ground}v-7M0 ${ground}v-7M40 ${ground}v-7`, { ...solid, stroke: 'var(--color-stop)' }],
        step: [`M-66 ${ground}V${ground - 22}H-34V${ground}`, solid],
        band: [
            `M${knee[0] - 11} ${knee[1]}a9 5 0 1 0 18 0a9 5 0 1 0 -18 0`,
            { stroke: 'var(--color-stop)', strokeWidth: 3 },
        ],
    };
    const [d, style] = drawn[what] ?? ['', {}];
    return <path d={d} {...style} />;
}

type Joints = ReturnType<typeof jointsOf>;

/** Where the joints are, in the picture’s own lengths, with the hip at its origin. */
function jointsOf(pose: Pose) {
    const [thigh = 0, shin = 0] = pose.front_leg;
    const [backThigh = 0, backShin = 0] = pose.back_leg;
    const [upper = 0, fore = 0] = pose.throwing_arm;
    const [frontUpper = 0, frontFore = 0] = pose.front_arm;
    const hip: Point = [0, 0];
    const shoulder = along(hip, 180 - pose.trunk, TRUNK);
    const head = along(shoulder, 180 - pose.trunk * 0.6, HEAD + 6);
    const knee = along(hip, thigh, THIGH);
    const foot = along(knee, shin, SHIN);
    const backKnee = along(hip, backThigh, THIGH);
    const backFoot = along(backKnee, backShin, SHIN);
    const elbow = along(shoulder, upper, UPPER_ARM);
    const hand = along(elbow, fore, FOREARM);
    const frontElbow = along(shoulder, frontUpper, UPPER_ARM);
    const frontHand = along(frontElbow, frontFore, FOREARM);
    const ground = Math.max(foot[1], backFoot[1], knee[1], backKnee[1]) + pose.lift * 2 * HEAD + 3;
    return { hip, shoulder, head, knee, foot, backKnee, backFoot, elbow, hand, frontElbow, frontHand, ground };
}

/** What the hand holds, drawn along the forearm. */
function Held({ pose, hand }: { pose: Pose; hand: Point }) {
    const [, fore = 0] = pose.throwing_arm;
    if (pose.tool === 'javelin')
        return <path d={line(along(hand, 98, 46), along(hand, -82, 46))} stroke="var(--color-stop)" strokeWidth="2" />;
    if (pose.tool === 'ball')
        return (
            <circle
                cx={along(hand, fore, 7)[0]}
                cy={along(hand, fore, 7)[1]}
                r="5.5"
                fill="var(--color-stop)"
                stroke="none"
            />
        );
    if (pose.tool !== 'racket') return null;
    return (
        <>
            <path d={line(hand, along(hand, fore, 26))} stroke="var(--color-stop)" strokeWidth="2.5" />
            <ellipse
                cx={along(hand, fore, 36)[0]}
                cy={along(hand, fore, 36)[1]}
                rx="8"
                ry="11"
                transform={`rotate(${-fore} ${along(hand, fore, 36)[0]} ${along(hand, fore, 36)[1]})`}
                stroke="var(--color-stop)"
                strokeWidth="2"
            />
        </>
    );
}
