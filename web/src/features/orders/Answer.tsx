import { useQuery } from '@tanstack/react-query';
import { Button, Checkbox, Flex, Input, Modal } from 'antd';
import { useState } from 'react';
import { saysWhy } from '../../api/client';
import { noteAnswer } from '../../api/orders';
import type { Amendment, Order, UnitPlan } from '../../api/types';
import { planQuery } from '../../api/units';
import { can, usePerson } from '../../app/session';
import { Field } from '../../ui/Field';
import { Says } from '../../ui/Says';
import { Loading } from '../../ui/states';
import { AmendFields } from '../plan/Amend';
import { amendmentOf, useAmendmentForm } from '../plan/useAmendment';
import { useChange } from './change';
import type { Question } from './Questions';

/** Notes what the client said; where it changes the work of the unit, as an amendment in the same act. */
export function Answer({ order, question, close }: { order: Order; question: Question; close: () => void }) {
    const [answer, setAnswer] = useState('');
    const [by, setBy] = useState(order.client);
    const [amends, setAmends] = useState(false);
    const unit = question.unit;
    const person = usePerson();
    const plan = useQuery({ ...planQuery(unit ?? 0), enabled: amends && unit !== null });
    const note = useChange(
        order.id,
        (amendment: Amendment | null) => noteAnswer(question.id, { answer, by, amendment }),
        close,
    );
    const isSaid = answer.trim() !== '' && by.trim() !== '';
    return (
        <Modal open title={question.text} footer={null} onCancel={close}>
            <Flex vertical gap={10}>
                <Field label="What they answered">
                    <Input.TextArea
                        autoSize={{ minRows: 2 }}
                        value={answer}
                        onChange={(e) => setAnswer(e.target.value)}
                    />
                </Field>
                <Field label="Who said so">
                    <Input value={by} onChange={(e) => setBy(e.target.value)} />
                </Field>
                {unit !== null && can(person, 'plan.edit') && (
                    <Checkbox checked={amends} onChange={(e) => setAmends(e.target.checked)}>
                        It changes what is painted
                    </Checkbox>
                )}
                {note.isError && <Says kind="bad">{saysWhy(note.error)}</Says>}
                {amends && plan.isError && <Says kind="bad">{saysWhy(plan.error)}</Says>}
                {amends && plan.isPending && <Loading what="the plan of the unit" />}
                {amends && plan.data ? (
                    <Amended
                        data={plan.data}
                        reason={answer}
                        disabled={!isSaid || note.isPending}
                        done={(a) => note.mutate(a)}
                    />
                ) : (
                    <Button
                        type="primary"
                        loading={note.isPending}
                        disabled={!isSaid || amends}
                        onClick={() => note.mutate(null)}
                    >
                        Note the answer
                    </Button>
                )}
            </Flex>
        </Modal>
    );
}

/** The answer is the reason of the amendment. */
function Amended({
    data,
    reason,
    disabled,
    done,
}: {
    data: UnitPlan;
    reason: string;
    disabled: boolean;
    done: (amendment: Amendment) => void;
}) {
    const { form, set } = useAmendmentForm(data);
    return (
        <>
            <AmendFields data={data} form={form} set={set} />
            <Button type="primary" disabled={disabled} onClick={() => done(amendmentOf({ ...form, reason }))}>
                Note the answer and amend
            </Button>
        </>
    );
}
