import { useRef, useState } from 'react';
import { Notice } from '../../parts/Notice';

const LARGEST_BYTES = 500_000;

/** A programme from a file: opened to be looked at, and kept only when it is saved. */
export function ImportProgramme({ onRead }: { onRead: (text: string) => boolean }) {
    const input = useRef<HTMLInputElement>(null);
    const [problem, setProblem] = useState<Error | null>(null);
    const read = async (file: File | undefined): Promise<void> => {
        if (file === undefined) return;
        if (input.current) input.current.value = '';
        const isRead = file.size <= LARGEST_BYTES && onRead(await file.text());
        setProblem(
            isRead
                ? null
                : new Error(
                      `“${file.name}” is no return programme: a JSON file with a name and stages is asked for. ` +
                          'Export one of these to see how it is written.',
                  ),
        );
    };
    return (
        <div>
            <button type="button" className="btn" onClick={() => input.current?.click()}>
                Import
            </button>
            <input
                ref={input}
                type="file"
                accept=".json,application/json"
                className="sr-only"
                tabIndex={-1}
                aria-label="Programme file"
                onChange={(event) => void read(event.target.files?.[0])}
            />
            <Notice problem={problem} />
        </div>
    );
}
