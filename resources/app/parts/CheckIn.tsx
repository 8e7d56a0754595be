import { useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { api, type AthleteCard } from '../api/client';
import { nowWithOffset } from '../api/words';
import { flush, keepReports, newId, type Report } from '../offline/store';
import { Notice } from './Notice';
import { Sheetlet } from './Sheetlet';
import { SoreForm } from './SoreForm';

const MORNING_ENDS_HOUR = 12;

/** How are you, and where? Kept on this device first; the sheet of the day is fitted to it at once. */
export function CheckIn({
    athlete,
    moment,
    onDone,
    onClose,
}: {
    athlete: AthleteCard;
    moment?: Report['moment'];
    onDone?: (reports: Report[]) => void;
    onClose: () => void;
}) {
    const queries = useQueryClient();
    const [failed, setFailed] = useState<unknown>(null);
    const keep = async (reports: Report[]): Promise<void> => {
        try {
            await keepReports(athlete.id, reports);
            onDone?.(reports);
            onClose();
            await flush();
            await queries.invalidateQueries();
        } catch (error) {
            setFailed(error);
        }
    };
    const ill = (how: 'cold' | 'fever'): void => {
        api('POST', `/api/athletes/${athlete.id}/wellness`, { id: newId(), at: nowWithOffset(), ill: how })
            .then(() => queries.invalidateQueries())
            .then(onClose, setFailed);
    };
    return (
        <Sheetlet open onClose={onClose} title={`${athlete.given_name}: how are you, and where?`}>
            <Notice problem={failed} />
            <p className="mb-2 flex items-center gap-2 border-b border-line pb-2">
                <span className="label grow">Ill today?</span>
                <button type="button" className="btn" onClick={() => ill('cold')}>
                    A cold
                </button>
                <button type="button" className="btn" onClick={() => ill('fever')}>
                    Fever: no training
                </button>
            </p>
            <SoreForm
                young={athlete.young}
                moment={moment ?? (new Date().getHours() < MORNING_ENDS_HOUR ? 'morning' : 'before')}
                onKeep={(reports) => void keep(reports)}
            />
        </Sheetlet>
    );
}
