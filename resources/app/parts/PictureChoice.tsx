import { useQuery } from '@tanstack/react-query';
import { api } from '../api/client';
import { Figure } from './Figure';

/** What a drill looks like: one of the pictures there are, or none. */
export function PictureChoice({
    label,
    value,
    onChange,
}: {
    label: string;
    value: string | undefined;
    onChange: (id: string | undefined) => void;
}) {
    const { data } = useQuery({
        queryKey: ['pictures'],
        queryFn: () => api('GET', '/api/pictures'),
        staleTime: Infinity,
    });
    const chosen = data?.find(({ id }) => id === value);
    return (
        <span className="flex items-center gap-2">
            <select
                aria-label={label}
                className="field w-44"
                value={value ?? ''}
                onChange={(event) => onChange(event.target.value === '' ? undefined : event.target.value)}
            >
                <option value="">no picture</option>
                {(data ?? []).map(({ id, pose }) => (
                    <option key={id} value={id}>
                        {id.includes('/')
                            ? `${id.slice(0, id.indexOf('/')).replaceAll('-', ' ')}: ${pose.name}`
                            : pose.name}
                    </option>
                ))}
            </select>
            {chosen && <Figure pose={chosen.pose} small />}
        </span>
    );
}
