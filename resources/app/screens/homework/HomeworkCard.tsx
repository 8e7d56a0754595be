import type { Homework } from '../../api/client';
import { dayName } from '../../api/words';
import { Figure } from '../../parts/Figure';

/** A card to hand out. */
export function HomeworkCard({ card }: { card: Homework }) {
    return (
        <article className="mx-auto max-w-2xl border-2 border-ink bg-page p-6">
            <header className="border-b-2 border-ink pb-2">
                <p className="label">
                    {card.ladder_name} · {card.rung_name} · {dayName(card.date)}
                </p>
                <h1 className="text-2xl">{card.athlete.given_name}, to do alone</h1>
            </header>
            <div className="mt-3 flex gap-4">
                {card.focus && (
                    <p className="grow text-lg">
                        Work on: <span className="head">{card.focus}.</span> Think “{card.cue}”.
                    </p>
                )}
                {card.picture && !card.none && <Figure pose={card.picture} small />}
            </div>
            {card.none ? (
                <p className="mt-4 text-lg">{card.none}</p>
            ) : (
                card.days.map((day) => (
                    <section key={day.date} className="mt-4">
                        <h2 className="border-b border-ink text-base">{dayName(day.date, true)}</h2>
                        {day.blocks.map((block) => (
                            <div
                                key={block.title}
                                className="grid grid-cols-[1fr_auto] gap-x-4 border-b border-line py-1.5"
                            >
                                <p>
                                    <span className="head">{block.title}.</span> {block.text}
                                </p>
                                <p className="figure max-w-56 text-right text-lg">
                                    {block.dose}
                                    {block.hold_s ? `, hold ${block.hold_s} s` : ''}
                                    {block.how ? `; ${block.how}` : ''}
                                </p>
                            </div>
                        ))}
                    </section>
                ))
            )}
            {!card.none && (
                <section className="mt-4">
                    <h2 className="text-base">Look for</h2>
                    <ul className="list-disc pl-5">
                        {card.look_for.map((each) => (
                            <li key={each}>{each}</li>
                        ))}
                    </ul>
                </section>
            )}
            <section className="mt-4 border-l-4 border-stop pl-3">
                <h2 className="text-base">Stop when</h2>
                <ul className="list-disc pl-4">
                    {card.stop_when.map((each) => (
                        <li key={each}>{each}</li>
                    ))}
                </ul>
            </section>
            <p className="mt-4">
                {card.report_back}
                {card.next_session ? ` Next session: ${dayName(card.next_session, true)}.` : ''}
            </p>
            <div className="mt-4 hidden grid-cols-4 gap-2 print:grid">
                {['Day', 'How many', 'Easy, middling, hard', 'Next morning 0–10'].map((head) => (
                    <p key={head} className="label border-t border-ink pt-1">
                        {head}
                        <span className="block h-16" />
                    </p>
                ))}
            </div>
        </article>
    );
}
