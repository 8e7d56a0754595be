import { clsx } from 'clsx';

/** A skill by its place in the order: filled on a heavy day. */
export function SkillMark({ skill, heavy }: { skill: number; heavy: boolean }) {
    return (
        <span
            aria-hidden
            className={clsx(
                'figure inline-grid size-6 shrink-0 place-items-center border-2 border-ink text-sm',
                heavy ? 'bg-ink text-chalk' : 'bg-page',
            )}
        >
            {skill + 1}
        </span>
    );
}
