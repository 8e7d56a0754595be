import { useState } from 'react';
import { api, type Import } from '../../api/client';
import type { Body } from '../../api/typed';
import { Notice } from '../../parts/Notice';
import { saveList } from '../../parts/saveFile';
import { type Choices, choicesOf } from './choices';
import { JudgedRows } from './JudgedRows';
import { Words } from './Words';

type Verdict = Import['counts'][number]['verdict'];
type Row = { line: number; sentence: string | null; cells: string[] };

const NAMES: Record<Verdict, string> = {
    new: 'New',
    same: 'On record already',
    differs: 'Differ',
    unusable: 'Cannot be used',
    'left out': 'Left out',
};

/** What would become of each row, and the one button that does it. */
export function Judged({
    file,
    onChoices,
    onTake,
    onColumns,
}: {
    file: Import;
    onChoices: (choices: Choices) => void;
    onTake: (body: Body<'POST', '/api/imports/{import}/take'>) => void;
    onColumns: () => void;
}) {
    const count = (verdict: Verdict): number => file.counts.find((each) => each.verdict === verdict)?.rows ?? 0;
    const [shown, setShown] = useState<Verdict>(count('unusable') > 0 ? 'unusable' : 'new');
    const [also, setAlso] = useState<number[]>([]);
    const [without, setWithout] = useState(false);
    const [problem, setProblem] = useState<unknown>(null);
    const unusable = count('unusable');
    const takes = count('new') + also.length;
    const what = file.kind === 'work' ? (takes === 1 ? 'row' : 'rows') : takes === 1 ? 'athlete' : 'athletes';
    return (
        <>
            <Words file={file} onSaid={(some) => onChoices({ ...choicesOf(file), ...some })} />
            <div className="flex flex-wrap items-center gap-1 py-2" role="group" aria-label="Rows">
                {file.counts
                    .filter((each) => each.rows > 0 || each.verdict === 'new')
                    .map((each) => (
                        <button
                            key={each.verdict}
                            type="button"
                            aria-pressed={shown === each.verdict}
                            className={shown === each.verdict ? 'btn btn-main' : 'btn'}
                            onClick={() => setShown(each.verdict)}
                        >
                            {NAMES[each.verdict]} <span className="figure">{each.rows.toLocaleString('en')}</span>
                        </button>
                    ))}
                <span className="grow" />
                <button type="button" className="btn btn-quiet" onClick={onColumns}>
                    Columns
                </button>
            </div>
            <JudgedRows
                key={shown}
                file={file}
                verdict={shown}
                also={also}
                onAlso={file.kind === 'work' && shown === 'differs' ? setAlso : null}
            />
            <div className="sticky bottom-0 mt-3 flex flex-wrap items-center gap-4 border-t-2 border-ink bg-chalk py-3">
                {unusable > 0 && (
                    <>
                        <label className="flex min-h-11 items-center gap-2">
                            <input
                                type="checkbox"
                                checked={without}
                                onChange={(event) => setWithout(event.target.checked)}
                            />
                            {unusable === 1 ? 'The row' : `The ${unusable} rows`} that cannot be used{' '}
                            {unusable === 1 ? 'stays' : 'stay'} out
                        </label>
                        <button
                            type="button"
                            className="btn btn-quiet"
                            onClick={() => void saveUnusable(file).catch(setProblem)}
                        >
                            Save them as a file
                        </button>
                    </>
                )}
                <span className="grow" />
                <Notice problem={problem} />
                <button
                    type="button"
                    className="btn btn-main"
                    disabled={takes === 0 || (unusable > 0 && !without)}
                    onClick={() => onTake({ version: file.version, also, without_unusable: without })}
                >
                    Take in {takes.toLocaleString('en')} {what}
                </button>
            </div>
            <Touches file={file} />
        </>
    );
}

function Touches({ file }: { file: Import }) {
    if (file.kind !== 'work') return null;
    return (
        <p className="max-w-[75ch] text-sm text-soft">
            It is the work of {file.touches === 1 ? 'one athlete' : `${file.touches} athletes`}, and load on its days at
            once: limits, plans and gates follow. Repetitions from a file are load, never evidence for a rung.
        </p>
    );
}

/** With what is wrong beside each, so that they can be put right and brought in again. */
async function saveUnusable(file: Import): Promise<void> {
    const rows: Row[] = [];
    for (let after: number | null = 0; after !== null;) {
        const some: { rows: Row[]; after: number | null } = await api(
            'GET',
            `/api/imports/${file.id}/rows`,
            undefined,
            {
                query: { verdict: 'unusable', after },
            },
        );
        rows.push(...some.rows);
        after = some.after;
    }
    saveList(`${file.file_name.replace(/\.\w+$/, '')} to put right`, [
        [...file.columns.map((each) => each.title), 'What is wrong'],
        ...rows.map((row) => [...row.cells, row.sentence]),
    ]);
}
