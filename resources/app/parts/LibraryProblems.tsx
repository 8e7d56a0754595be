import type { Today } from '../api/client';

/** Library files that cannot be read: which, where, and that nothing is lost by it. */
export function LibraryProblems({ problems }: { problems: Today['problems'] }) {
    return problems.map((problem) => (
        <div key={problem.file + problem.path} role="alert" className="mb-2 border-l-4 border-stop bg-page px-3 py-2">
            <p className="head text-stop">library/{problem.file} cannot be read</p>
            <p>
                At “{problem.path}”: {problem.message} Mend the file and load this page again; no record is touched.
            </p>
        </div>
    ));
}
