import { useState } from 'react';
import { LabelledInput } from '../../parts/Labelled';
import { ScanCode } from '../../parts/ScanCode';
import { type Reach, reachOf } from './reach';

const SAYS: Record<Reach, { title: string; text: string; works: boolean }> = {
    secure: {
        title: 'Everything works at this address',
        text: 'Counting without a connection, the camera, and a place on the home screen.',
        works: true,
    },
    open: {
        title: 'At this address a phone can only look and enter',
        text:
            'It begins with http. Counting stops when the connection does, the camera stays shut, ' +
            'and it cannot be put on the home screen. Whoever runs Augendo here sets up https: ' +
            'docs/operating.md says how, also in a hall ' +
            'without the internet.',
        works: false,
    },
    'this-machine': {
        title: 'Only this machine knows this address',
        text: 'Type the name or number of this machine in the network of the hall, as in https://192.168.1.10.',
        works: false,
    },
    none: { title: 'This is no address yet', text: 'It begins with https:// and a name or a number.', works: false },
};

const STEPS = [
    ['Same network', 'The phone is in the network this machine is in.'],
    ['Scan', 'Open the camera, hold it on the code, open what it offers, and sign in.'],
    [
        'If it warns',
        'The phone does not know the club’s own certificate yet. Get the file ca.crt from whoever runs Augendo ' +
            'and open it once. Android: Settings, Security, Install a certificate. ' +
            'iPhone: install the profile, then Settings, ' +
            'General, About, Certificate Trust Settings. Open the address again: no warning, also with no internet.',
    ],
    [
        'Home screen',
        'In the menu of the browser choose Add to Home screen. Today and Roll call are behind a long press.',
    ],
] as const;

/** How does a phone in the hall get to Augendo, and what works there? */
export function PhoneScreen() {
    const [address, setAddress] = useState(window.location.origin);
    const reach = reachOf(address);
    const said = SAYS[reach];
    return (
        <main className="px-4 pb-10 sm:px-6">
            <header className="py-3">
                <h1 className="text-2xl">On a phone</h1>
                <p className="mt-1 text-soft">Scan the code with the camera of the phone.</p>
            </header>
            <div className="grid gap-x-10 gap-y-6 border-t-2 border-ink pt-4 md:grid-cols-[16rem_1fr]">
                <div className="grid content-start gap-3">
                    {reach === 'none' ? null : <ScanCode address={address} />}
                    <LabelledInput
                        label="Address"
                        type="url"
                        value={address}
                        onChange={(event) => setAddress(event.target.value.trim())}
                    />
                </div>
                <div className="grid content-start gap-5">
                    <div role="status" className={`border-l-4 px-3 py-1 ${said.works ? 'border-full' : 'border-tape'}`}>
                        <p className="head">{said.title}</p>
                        <p>{said.text}</p>
                    </div>
                    <ol className="grid max-w-prose gap-3">
                        {STEPS.map(([title, text], i) => (
                            <li key={title} className="grid grid-cols-[2rem_1fr] items-baseline">
                                <span className="head text-xl">{i + 1}</span>
                                <span>
                                    <strong>{title}.</strong> {text}
                                </span>
                            </li>
                        ))}
                    </ol>
                </div>
            </div>
        </main>
    );
}
