import { useMutation } from '@tanstack/react-query';
import { Button, Flex, Form, Input } from 'antd';
import { useState } from 'react';
import { saysWhy } from '../../api/client';
import type { Check } from '../../api/types';
import { askTheClient } from '../../api/work';
import { Field } from '../../ui/Field';
import { minutes } from '../../ui/marks';
import { NewLink } from '../../ui/Links';
import { Says } from '../../ui/Says';
import { day } from '../../ui/when';
import css from './Check.module.css';
import type { CheckDesk } from './useCheck';

/** The verdict as it would be now, and the ways to end the check. */
export function SoFar({ check, desk }: { check: Check; desk: CheckDesk }) {
    const so = check.verdict_so_far;
    const counting = check.faults.filter((f) => f.severity !== 'note').length;
    const stands = so.passes ? css.passes : counting > 0 ? css.fails : '';
    const mayConcede =
        check.may.accept && counting > 0 && so.open.length === 0 && (so.counted['critical'] ?? 0) === 0;
    const openLooks = check.looks.filter((l) => desk.isOpen(l.key)).length;
    return (
        <div className={`card pad stack ${css.far} ${stands}`}>
            <div>
                <div className="eyebrow">So far</div>
                <h2>{so.words}</h2>
                <p className="small soft m-0">
                    {openLooks === 0
                        ? 'Every look is answered.'
                        : `Open: ${openLooks} of ${check.looks.length} looks.`}
                    {so.repair_minutes > 0 && ` If sent back: ${minutes(so.repair_minutes)} on the bench.`}
                </p>
            </div>
            {so.quicker_anew !== null && (
                <Says kind="warn">
                    The repairs take longer than painting it anew, {minutes(so.quicker_anew)} without
                    stripping.
                </Says>
            )}
            {so.unseen.length > 0 && (
                <Says kind="plain">
                    Could not be seen where one looks first, for the lead to confirm: {so.unseen.join('; ')}.
                </Says>
            )}
            {desk.why === 'accepted' && <Accepting check={check} desk={desk} />}
            <Flex gap={8} justify="flex-end" wrap>
                {mayConcede && (
                    <Button type="link" onClick={() => desk.setWhy('accepted')}>
                        Accept as it is …
                    </Button>
                )}
                <Button
                    disabled={!check.may.answer || counting === 0 || desk.close.isPending}
                    onClick={() => desk.close.mutate({ verdict: 'rework' })}
                >
                    Send back
                </Button>
                <Button
                    type="primary"
                    disabled={!check.may.answer || !so.passes || desk.close.isPending}
                    onClick={() => desk.close.mutate({ verdict: 'passed' })}
                >
                    Pass
                </Button>
            </Flex>
        </div>
    );
}

/** Why it leaves with its faults, and who agreed for the client where the tier asks for that. */
function Accepting({ check, desk }: { check: Check; desk: CheckDesk }) {
    const [reason, setReason] = useState('');
    const [consent, setConsent] = useState('');
    const wants = check.verdict_so_far.wants_consent;
    const said = check.client_said;
    const ready = reason.trim() !== '' && (!wants || said?.agrees === true || consent.trim() !== '');
    return (
        <Form
            layout="vertical"
            className="stack"
            onFinish={() =>
                ready &&
                desk.close.mutate({
                    verdict: 'accepted',
                    reason,
                    consent: wants && consent.trim() !== '' ? consent : null,
                })
            }
        >
            <Field label="Why is it accepted as it is?">
                <Input autoFocus value={reason} onChange={(e) => setReason(e.target.value)} />
            </Field>
            {wants && said && (
                <Says kind={said.agrees ? 'good' : 'bad'}>
                    {said.name} {said.agrees ? 'agreed' : 'did not agree'} by the link, {day(said.at)}.
                </Says>
            )}
            {wants && !said && <AskByLink check={check.id} />}
            {wants && !said?.agrees && (
                <Field label="Or noted by hand: who agreed, when, how">
                    <Input value={consent} onChange={(e) => setConsent(e.target.value)} />
                </Field>
            )}
            <Flex gap={8}>
                <Button type="primary" htmlType="submit" disabled={!ready}>
                    Keep
                </Button>
                <Button onClick={desk.leave}>Leave it</Button>
            </Flex>
        </Form>
    );
}

/** A link by which the client is asked about just these faults; what they say is seen here. */
function AskByLink({ check }: { check: number }) {
    const ask = useMutation({ mutationFn: () => askTheClient(check) });
    return (
        <div>
            <Button loading={ask.isPending} onClick={() => ask.mutate()}>
                Ask the client by a link
            </Button>
            {ask.isError && <Says kind="bad">{saysWhy(ask.error)}</Says>}
            {ask.data && <NewLink path={ask.data.path} />}
        </div>
    );
}
