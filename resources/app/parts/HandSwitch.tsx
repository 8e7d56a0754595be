export type Hand = 'right' | 'left';

/** For which hand a text is written. */
export function HandSwitch({ hand, onHand }: { hand: Hand; onHand: (hand: Hand) => void }) {
    return (
        <span role="group" aria-label="Written for" className="no-print flex border border-ink">
            {(['right', 'left'] as const).map((side) => (
                <button
                    key={side}
                    type="button"
                    aria-pressed={hand === side}
                    className={`head min-h-10 px-3 ${hand === side ? 'bg-ink text-chalk' : ''}`}
                    onClick={() => onHand(side)}
                >
                    {side}-handed
                </button>
            ))}
        </span>
    );
}
