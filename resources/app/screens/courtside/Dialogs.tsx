import { useQueryClient } from '@tanstack/react-query';
import { useLocation, useNavigate } from '@tanstack/react-router';
import { CheckIn } from '../../parts/CheckIn';
import { Sheetlet } from '../../parts/Sheetlet';
import { WhatIsLeft } from '../../parts/WhatIsLeft';
import { DoseForm } from './DoseForm';
import { FinishForm } from './FinishForm';
import { Landed } from './Landed';
import { LookAgain } from './LookAgain';
import { RoundForm } from './RoundForm';
import type { Court, Here } from './useCourtside';
import { KEYS } from './useKeys';

/** What may lie over the count of one athlete. */
export function Dialogs({ court }: { court: Court }) {
    const { pack } = court;
    return (
        <>
            {court.dialog?.name === 'sore' && (
                <CheckIn athlete={pack.athlete} moment="during" onDone={court.heardOf} onClose={court.close} />
            )}
            {court.here && <AboutTheLast court={court} here={court.here} />}
            {court.here && <ChangeDose court={court} here={court.here} />}
            <Sheetlet open={court.dialog?.name === 'round'} onClose={court.close} title="Score this block">
                {court.here?.block.game && (
                    <RoundForm court={court} game={court.here.block.game} onDone={court.close} />
                )}
            </Sheetlet>
            <Sheetlet open={court.dialog?.name === 'keys'} onClose={court.close} title="Keys">
                <dl className="grid grid-cols-[9rem_1fr] gap-y-1">
                    {KEYS.map(([key, does]) => (
                        <div key={key} className="contents">
                            <dt className="head">{key}</dt>
                            <dd>{does}</dd>
                        </div>
                    ))}
                </dl>
            </Sheetlet>
            <Finish court={court} />
            <Swap court={court} />
        </>
    );
}

/** What is left may be on a sheet of its own: it is counted there, in the line or alone as before. */
function Swap({ court: { pack, dialog, close, goTo } }: { court: Court }) {
    const navigate = useNavigate();
    const inLine = useLocation().pathname.endsWith('/line');
    if (dialog?.name !== 'swap') return null;
    return (
        <WhatIsLeft
            sheetId={pack.sheet_id}
            athlete={pack.athlete}
            onClose={close}
            onTaken={(sheet) => {
                close();
                // What was begun is over: on to the first block that is left.
                goTo(null);
                const to = inLine ? '/sheets/$sheetId/line' : '/sheets/$sheetId/courtside';
                void navigate({ to, params: { sheetId: sheet.id } });
            }}
        />
    );
}

/** What the last repetition really was, and where it landed. */
function AboutTheLast({ court, here }: { court: Court; here: Here }) {
    const { pack, dialog, close, taps } = court;
    const { block, dose } = here;
    const naming = dialog?.name === 'correct' ? dialog.rep : null;
    const landing = dialog?.name === 'landed' ? dialog.rep : null;
    return (
        <>
            <Sheetlet open={naming !== null} onClose={close} title="What was the last one really?">
                {naming && (
                    <LookAgain
                        key={naming.id}
                        pack={pack}
                        rep={naming}
                        onCorrect={(verdict, fault, seen) => {
                            const of = { set_no: naming.set_no, side: naming.side, target_id: naming.id };
                            taps.add(block, dose, { kind: 'correct', ...of, verdict, fault, seen });
                            close();
                        }}
                    />
                )}
            </Sheetlet>
            <Sheetlet open={landing !== null} onClose={close} title="Where did the last one land?">
                {landing && (
                    <Landed
                        points={here.reps.flatMap((rep) => {
                            const place = taps.landed.get(rep.id);
                            return place ? [place] : [];
                        })}
                        onTouch={(place) => {
                            const of = { set_no: landing.set_no, side: landing.side, target_id: landing.id };
                            taps.add(block, dose, { kind: 'landed', ...of, note: place.join(' ') });
                            close();
                        }}
                    />
                )}
            </Sheetlet>
        </>
    );
}

function ChangeDose({ court, here }: { court: Court; here: Here }) {
    const queries = useQueryClient();
    const { block, dose, feltSet } = here;
    return (
        <Sheetlet open={court.dialog?.name === 'dose'} onClose={court.close} title="Change the dose">
            <DoseForm
                pack={court.pack}
                block={block}
                reps={court.taps.reps}
                dose={dose}
                side={court.onSide}
                setNo={feltSet}
                felt={court.taps.felt.get(`${block.id}|${feltSet}`) ?? null}
                onDose={court.moveDose}
                onFelt={(effort) =>
                    court.taps.add(block, { ...dose, effort }, { kind: 'felt', set_no: feltSet, side: court.onSide })
                }
                onPace={() => {
                    court.forgetDoses();
                    void queries.invalidateQueries({ queryKey: ['courtside'] });
                }}
            />
        </Sheetlet>
    );
}

function Finish({ court: { pack, reps, dialog, close } }: { court: Court }) {
    const queries = useQueryClient();
    const navigate = useNavigate();
    return (
        <Sheetlet open={dialog?.name === 'finish'} onClose={close} title="Finish the session">
            <FinishForm
                pack={pack}
                reps={reps}
                onFinished={() => {
                    void queries.invalidateQueries();
                    void navigate({ to: '/sheets/$sheetId/after', params: { sheetId: pack.sheet_id } });
                }}
            />
        </Sheetlet>
    );
}
