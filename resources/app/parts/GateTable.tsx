import { Check, Clock, HelpCircle, X } from 'lucide-react';
import type { Gate } from '../api/client';

const VERDICTS = {
    pass: { Icon: Check, text: 'passes', colour: 'text-full' },
    fail: { Icon: X, text: 'fails', colour: 'text-stop' },
    unknown: { Icon: HelpCircle, text: 'not known', colour: 'text-unknown' },
    short: { Icon: Clock, text: 'too little evidence', colour: 'text-reduced' },
} as const;

/** Each criterion with the evidence behind it. */
export function GateTable({ criteria }: { criteria: Gate['criteria'] }) {
    return (
        <table className="w-full">
            <tbody>
                {criteria.map((criterion) => {
                    const { Icon, text, colour } = VERDICTS[criterion.verdict];
                    return (
                        <tr key={criterion.name} className="border-t border-line align-top first:border-0">
                            <th scope="row" className="whitespace-nowrap py-1 pr-3 text-left font-medium">
                                <span className={`inline-flex items-center gap-1.5 ${colour}`}>
                                    <Icon size={15} strokeWidth={2.6} aria-hidden />
                                    <span className="sr-only">{text}:</span>
                                </span>{' '}
                                {criterion.label}
                            </th>
                            <td className="py-1 text-soft">{criterion.evidence}</td>
                        </tr>
                    );
                })}
            </tbody>
        </table>
    );
}

const COLOURS: Record<string, string> = { advance: 'text-full', step_back: 'text-stop', pause: 'text-stop' };

/** The decision in one sentence, and what exactly is missing. */
export function GateHeadline({ gate, className = '' }: { gate: Gate; className?: string }) {
    return (
        <div className={className}>
            <p className={`head ${COLOURS[gate.decision] ?? ''}`}>{gate.headline}</p>
            {gate.missing.length > 0 && (
                <ul className="mt-1 list-disc pl-5">
                    {gate.missing.map((each) => (
                        <li key={each}>{each[0]?.toUpperCase() + each.slice(1)}.</li>
                    ))}
                </ul>
            )}
        </div>
    );
}
