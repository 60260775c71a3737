import { useMutation } from '@tanstack/react-query';
import { Button, Flex } from 'antd';
import { useEffect, useRef } from 'react';
import { useNavigate } from 'react-router';
import type { CheckUnit } from '../../api/types';
import { openCheck } from '../../api/work';
import { useNotices } from '../../app/notices';
import { can, usePerson } from '../../app/session';
import { LinkButton } from '../../ui/LinkButton';
import { StageStrip } from '../../ui/marks';
import { DrawSample } from './Sample';
import { Sign } from './SignUnit';

/**
 * A unit with its models as cells; one that waits is opened by its cell, the next one by the button. Who comes from the
 * check of its last model has its main action under the Enter key.
 */
export function UnitToCheck({ unit: u, isHere }: { unit: CheckUnit; isHere: boolean }) {
    const section = useRef<HTMLElement>(null);
    const person = usePerson();
    const go = useNavigate();
    const notices = useNotices();
    const open = useMutation({
        mutationFn: openCheck,
        onSuccess: (check) => go(`/check/${check.id}`),
        onError: notices.failed,
    });
    const waiting = u.pieces.filter((p) => p.stage === 'offered');
    const passed = u.pieces.filter((p) => p.stage === 'passed');
    const answers = can(person, 'check.answer');
    const enter = (id: number) => {
        const piece = waiting.find((p) => p.id === id);
        if (piece?.open_check != null) void go(`/check/${piece.open_check}`);
        else if (piece && answers) open.mutate(id);
    };
    const drawn = u.sample?.verdict === 'open' ? u.sample.drawn : null;
    const looked = drawn ? waiting.filter((p) => drawn.includes(p.number)) : waiting;
    const draws = u.sample?.drawn === null && waiting.length > 1 && answers;
    const next = looked.find((p) => p.open_check !== null) ?? (answers ? looked[0] : undefined);
    useEffect(() => {
        if (isHere) section.current?.querySelector<HTMLButtonElement>('.ant-btn-primary')?.focus();
    }, [isHere, passed.length, next?.id]);
    return (
        <section className="card pad" ref={section}>
            <Flex gap={12} align="center" wrap>
                <div className="grow">
                    <h2>{u.sculpt}</h2>
                    <span className="soft">
                        {u.tier} v{u.standard_version} · {u.title} · {u.order_number}
                    </span>
                </div>
                {passed.length > 0 && can(person, 'sign') && (
                    <Sign unit={u} pieces={passed.map((p) => p.id)} />
                )}
                {draws && <DrawSample unit={u.id} primary={passed.length === 0} />}
                {looked.length > 1 && (
                    <LinkButton to={`/check/tray/${u.id}`}>All {looked.length} side by side</LinkButton>
                )}
                {next && (
                    <Button
                        type={passed.length > 0 || draws ? 'default' : 'primary'}
                        disabled={open.isPending}
                        onClick={() => enter(next.id)}
                    >
                        {next.open_check !== null
                            ? `Go on with model ${next.number}`
                            : `Check the next: model ${next.number}${next.rounds > 0 ? ', again' : ''}`}
                    </Button>
                )}
            </Flex>
            <div className="mt-12">
                <StageStrip pieces={u.pieces} pick={enter} may={(p) => waiting.some((w) => w.id === p.id)} />
            </div>
            {u.sample && waiting.length > 0 && <p className="soft small mt-8 mb-0">{sampleSays(u.sample)}</p>}
            {waiting.length === 0 && passed.length === 0 && (
                <p className="soft small mt-8">
                    {u.pieces.some((p) => p.stage === 'rework')
                        ? 'Sent back models are on the bench.'
                        : 'All signed off.'}
                </p>
            )}
        </section>
    );
}

function sampleSays(sample: NonNullable<CheckUnit['sample']>): string {
    if (sample.drawn === null)
        return 'This tier has some of these models checked, and the rest pass with them.';
    const drawn = [...sample.drawn].sort((a, b) => a - b).join(', ');
    if (sample.verdict === 'refused') return `The sample (${drawn}) was refused: every model is checked.`;
    return `The sample is models ${drawn}; the rest pass with them.`;
}
