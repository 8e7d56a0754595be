import { freshId, type LadderDef, replaced, type TagDef } from './definition';

/** What a repetition may be besides good or faulty: low, high, fouled. */
export function TagsOf({ ladder, onChange }: { ladder: LadderDef; onChange: (next: LadderDef) => void }) {
    const tags = ladder.tags ?? [];
    const set = (i: number, next: TagDef | null): void =>
        onChange({
            ...ladder,
            tags: replaced(tags, i, next),
            rungs:
                next === null
                    ? ladder.rungs.map((rung) => ({ ...rung, tags: rung.tags?.filter((id) => id !== tags[i]?.id) }))
                    : ladder.rungs,
        });
    return (
        <section aria-label="Tags">
            <h2 className="border-b-2 border-ink pb-1 text-base">Tags: counted, and judge nothing</h2>
            {tags.map((tag, i) => (
                <div key={tag.id} className="flex gap-1.5 border-b border-line py-1.5">
                    <input
                        aria-label={`Name of tag ${i + 1}`}
                        placeholder="low"
                        className="field head w-32"
                        value={tag.name}
                        onChange={(event) => set(i, { ...tag, name: event.target.value })}
                    />
                    <input
                        aria-label={`What many of tag ${i + 1} tell`}
                        placeholder="what many of them tell, and what to do"
                        className="field min-w-0 grow"
                        value={tag.means}
                        onChange={(event) => set(i, { ...tag, means: event.target.value })}
                    />
                    <button type="button" className="btn btn-quiet" onClick={() => set(i, null)}>
                        Take away
                    </button>
                </div>
            ))}
            <button
                type="button"
                className="btn mt-2"
                onClick={() =>
                    onChange({ ...ladder, tags: [...tags, { id: freshId('tag', tags), name: '', means: '' }] })
                }
            >
                Add a tag
            </button>
        </section>
    );
}
