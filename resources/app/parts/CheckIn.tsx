import { useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import type { AthleteCard } from '../api/client';
import { keepReports, type Report } from '../offline/store';
import { Notice } from './Notice';
import { Sheetlet } from './Sheetlet';
import { SoreForm } from './SoreForm';

const MORNING_ENDS_HOUR = 12;

const FACES_UNDER_YEARS = 9;

/** How are you, and where? Kept on this device first; the sheet of the day is fitted to it at once. */
export function CheckIn({ athlete, moment, onDone, onClose }: { athlete: AthleteCard; moment?: string; onDone?: (reports: Report[]) => void; onClose: () => void }) {
    const queries = useQueryClient();
    const [failed, setFailed] = useState<unknown>(null);
    const keep = async (reports: Report[]): Promise<void> => {
        try {
            await keepReports(athlete.id, reports);
            await queries.invalidateQueries();
            onDone?.(reports);
            onClose();
        } catch (error) {
            setFailed(error);
        }
    };
    return (
        <Sheetlet open onClose={onClose} title={`${athlete.given_name}: how are you, and where?`}>
            <Notice problem={failed} />
            <SoreForm young={athlete.age !== null && athlete.age < FACES_UNDER_YEARS} moment={moment ?? (new Date().getHours() < MORNING_ENDS_HOUR ? 'morning' : 'before')} onKeep={(reports) => void keep(reports)} />
        </Sheetlet>
    );
}
