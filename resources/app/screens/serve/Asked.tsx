import type { Serve } from '../../api/client';
import { dayName, percent } from '../../api/words';
import { Labelled, LabelledInput, Options } from '../../parts/Labelled';
import { Stepper } from '../../parts/Stepper';
import type { Ask, Asking } from './ServeScreen';

const GOALS = [0.5, 0.6, 0.7, 0.8, 0.9, 0.95];
const SHARES = Array.from({ length: 19 }, (_, i) => (i + 1) / 20);

const SPEED_FROM = { said: '', usual: '', test: ' (tested)', gun: ' (measured)' } as const;

const WENT = [
    ['in', 'In'],
    ['net', 'Net'],
    ['long', 'Long'],
    ['left', 'Past the left line'],
    ['right', 'Past the right line'],
] as const;

type Court = Serve['courts'][number];
type Steps = { serve: Serve; asking: Asking; onAsk: Ask };

/** In plain steps: where the last ones went, where it is served, and how it leaves. */
export function Asked({ serve, asking, onAsk }: Steps) {
    const court = serve.courts.find(({ id }) => id === serve.asked.court);
    if (!court) return null;
    return (
        <div className="grid content-start gap-5">
            <WhereTheyWent serve={serve} asking={asking} onAsk={onAsk} />
            <Share
                label="Goal"
                of={GOALS}
                value={serve.asked.goal}
                said={(goal) => `${percent(goal)} in`}
                onChoose={(goal) => onAsk({ goal })}
            />
            <Where serve={serve} court={court} onAsk={onAsk} />
            <HowItLeaves serve={serve} asking={asking} onAsk={onAsk} />
            {court.tries === 2 && <TwoServes serve={serve} onAsk={onAsk} />}
        </div>
    );
}

/** Court, box, net, and where the server stands. */
function Where({ serve, court, onAsk }: { serve: Serve; court: Court; onAsk: Ask }) {
    const { asked } = serve;
    const nets = court.nets.map((each) => [String(each.metres), each.name] as const);
    const hanging = [
        '',
        asked.net_hangs ? `As it hangs: ${asked.net_height_m.toFixed(2)} m there` : 'As it hangs',
    ] as const;
    return (
        <section aria-label="Where it is served" className="grid gap-2">
            <h2 className="text-lg">Where</h2>
            <Labelled label="Court" tight>
                <select
                    className="field"
                    value={asked.court}
                    onChange={(event) => onAsk(anotherCourt(serve.courts, event.target.value))}
                >
                    <Options of={serve.courts} />
                </select>
            </Labelled>
            <Labelled label="Into" tight>
                <select className="field" value={asked.box} onChange={(event) => onAsk({ box: event.target.value })}>
                    <Options of={court.boxes} />
                </select>
            </Labelled>
            <Labelled label="Net" tight>
                <select
                    className="field"
                    value={asked.net_hangs ? '' : String(asked.net_height_m)}
                    onChange={(event) => onAsk({ net_height_m: event.target.value || null })}
                >
                    <Options of={court.net_sags ? [hanging, ...nets] : nets} />
                </select>
            </Labelled>
            <Labelled label="From" tight>
                <select
                    className="field"
                    value={String(asked.across_m)}
                    onChange={(event) => onAsk({ across_m: event.target.value })}
                >
                    <Options of={court.stands.map((each) => [String(each.metres), each.name] as const)} />
                </select>
            </Labelled>
        </section>
    );
}

/** Of another court nothing that was said of this one holds. */
const anotherCourt = (courts: Court[], id: string): Parameters<Ask>[0] => ({
    court: id,
    skill: courts.find((court) => court.id === id)?.skills[0] ?? null,
    box: null,
    net_height_m: null,
    across_m: null,
    height_m: null,
    speed_ms: null,
});

function HowItLeaves({ serve, asking, onAsk }: Steps) {
    const { asked } = serve;
    const number = (name: keyof typeof asked, label: string, step: number) => (
        <LabelledInput
            label={label}
            tight
            type="number"
            inputMode="decimal"
            step={step}
            value={asking[name] ?? String(asked[name])}
            onChange={(event) => onAsk({ [name]: event.target.value })}
        />
    );
    return (
        <section aria-label="How it leaves" className="grid gap-2">
            <h2 className="text-lg">How it leaves</h2>
            <div className="grid grid-cols-2 items-end gap-2">
                {number('height_m', 'Contact height, m', 0.05)}
                {number('contact_m', 'In front of the line, m', 0.1)}
                {number('speed_ms', `Speed, m/s${SPEED_FROM[asked.speed_from]}`, 0.5)}
                {number('topspin_rpm', 'Topspin, turns a minute', 100)}
                {number('sidespin_rpm', 'To the left, turns a minute', 100)}
            </div>
            {asked.speed_from === 'gun' && (
                <p className="text-sm text-soft">
                    The middle of the last {asked.speed_serves} measured serves, not the fastest.
                </p>
            )}
        </section>
    );
}

function WhereTheyWent({ serve, asking, onAsk }: Steps) {
    return (
        <section aria-label="Where the last ones went" className="grid gap-1.5">
            <h2 className="text-lg">Where the last ones went</h2>
            {serve.asked.scored_since !== null && (
                <p className="text-sm text-soft">
                    As scored courtside since {dayName(serve.asked.scored_since)}; count on from there.
                </p>
            )}
            {WENT.map(([name, label]) => (
                <div key={name} className="flex items-center justify-between gap-3">
                    <span>{label}</span>
                    <Stepper
                        label={label}
                        value={Number(asking[name] ?? serve.asked[name])}
                        shown={asking[name] ?? String(serve.asked[name])}
                        step={1}
                        least={0}
                        most={1000}
                        onChange={(count) => onAsk({ [name]: String(count) })}
                    />
                </div>
            ))}
        </section>
    );
}

function TwoServes({ serve, onAsk }: { serve: Serve; onAsk: Ask }) {
    const share = (name: 'second' | 'won_first' | 'won_second', label: string) => (
        <Share
            label={label}
            of={SHARES}
            value={serve.asked[name]}
            said={percent}
            onChoose={(to) => onAsk({ [name]: to })}
        />
    );
    return (
        <section aria-label="Two serves" className="grid gap-2">
            <h2 className="text-lg">Two serves</h2>
            {share('second', 'Second serves in')}
            {share('won_first', 'Points won with the first in')}
            {share('won_second', 'Points won with the second in')}
        </section>
    );
}

function Share({
    label,
    of,
    value,
    said,
    onChoose,
}: {
    label: string;
    of: readonly number[];
    value: number;
    said: (share: number) => string;
    onChoose: (share: string) => void;
}) {
    return (
        <Labelled label={label} tight>
            <select className="field" value={String(value)} onChange={(event) => onChoose(event.target.value)}>
                <Options of={of.map((each) => [String(each), said(each)] as const)} />
            </select>
        </Labelled>
    );
}
