import { useQuery } from '@tanstack/react-query';
import { api, type Block } from '../../api/client';
import { FloorChoice } from '../../parts/FloorChoice';
import { Options } from '../../parts/Labelled';
import { LabelledStepper } from '../../parts/LabelledStepper';
import type { Dose } from './draft';
import { clsx } from 'clsx';

const REST_STEP_S = 15;
const REST_MOST_S = 600;
const HOLD_STEP_S = 1;
const HOLD_MOST_S = 60;

/** In how many sets, with what, on which side and floor, with how much rest. Another object or side is not judged. */
export function HowDone({ block, dose, onEdit }: { block: Block; dose: Dose; onEdit: (dose: Dose) => void }) {
    const kit = useQuery({ queryKey: ['objects'], queryFn: () => api('GET', '/api/objects'), staleTime: Infinity });
    const object = dose.object ?? block.object_id;
    const held = dose.hold_s === undefined ? block.hold_s : dose.hold_s;
    return (
        <div
            className={clsx(
                'no-print my-1 flex flex-wrap items-end gap-x-6 gap-y-2',
                'border-l-4 border-tape py-1 pl-3 md:col-span-2 md:col-start-2',
            )}
        >
            <LabelledStepper
                label="Sets"
                value={dose.sets}
                step={1}
                least={1}
                most={20}
                onChange={(sets) => onEdit({ ...dose, sets })}
            />
            <LabelledStepper
                label="Rest, seconds"
                value={dose.rest_s ?? block.rest_s}
                step={REST_STEP_S}
                least={0}
                most={REST_MOST_S}
                onChange={(rest_s) => onEdit({ ...dose, rest_s })}
            />
            <LabelledStepper
                label="Hold, seconds"
                value={held ?? 0}
                step={HOLD_STEP_S}
                least={0}
                most={HOLD_MOST_S}
                onChange={(hold_s) => onEdit({ ...dose, hold_s: hold_s === 0 ? null : hold_s })}
            />
            <label className="text-sm">
                <span className="block text-soft">With</span>
                <select
                    className="border-b border-soft bg-transparent py-1"
                    value={object}
                    onChange={(event) => onEdit({ ...dose, object: event.target.value })}
                >
                    <Options of={(kit.data ?? []).map((each) => [each.id, each.name] as const)} />
                </select>
            </label>
            <label className="text-sm">
                <span className="block text-soft">Side</span>
                <select
                    className="border-b border-soft bg-transparent py-1"
                    value={dose.side ?? block.side}
                    onChange={(event) => onEdit({ ...dose, side: event.target.value as Block['side'] })}
                >
                    <Options
                        of={[
                            ['dominant', 'their own'],
                            ['other', 'the other'],
                        ]}
                    />
                </select>
            </label>
            {block.lands && (
                <FloorChoice
                    floor={dose.surface === undefined ? (block.surface as typeof dose.surface & {}) : dose.surface}
                    label="Landed on"
                    onChange={(surface) => onEdit({ ...dose, surface })}
                />
            )}
            {block.judged && (object !== block.object_id || (dose.side ?? block.side) !== block.side) && (
                <p className="basis-full text-sm text-reduced">
                    With another object, or on the other side, it is no evidence of the rung: not judged.
                </p>
            )}
        </div>
    );
}
