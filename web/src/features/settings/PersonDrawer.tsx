import { useMutation, useQueryClient } from '@tanstack/react-query';
import { Button, Checkbox, Drawer, Form, Input, InputNumber, Typography } from 'antd';
import { useState } from 'react';
import { saysWhy } from '../../api/client';
import { changePerson, type Colleague, invitePerson, peopleQuery } from '../../api/people';
import { Field } from '../../ui/Field';
import { Pick } from '../../ui/Pick';
import { useLinkBase } from '../../app/session';
import { Says } from '../../ui/Says';
import { ROLES } from './roles';
import { AwayDays } from './AwayDays';
import { Door } from './Door';

type Facts = Omit<Colleague, 'id' | 'revision' | 'joined' | 'set_aside' | 'second_factor'>;

const NEW: Facts = {
    name: '',
    email: '',
    role: 'painter',
    may_sign: false,
    skill: 3,
    hours_week: null,
    largest_batch: null,
    away: [],
};

/** Somebody new, or one of those who work here: what is said of them, and the link that lets them in. */
export function PersonDrawer({ person, close }: { person: Colleague | null; close: () => void }) {
    const queries = useQueryClient();
    const [form, setForm] = useState<Facts>(person ?? NEW);
    const [link, setLink] = useState<string | null>(null);
    const again = () => queries.invalidateQueries({ queryKey: peopleQuery().queryKey });
    const keep = useMutation({
        mutationFn: async () => {
            const { name, email, role, may_sign, skill, hours_week, largest_batch, away } = form;
            const facts = { name, email, role, may_sign, skill, hours_week, largest_batch };
            if (person) await changePerson(person.id, { revision: person.revision, ...facts, away });
            else setLink((await invitePerson(facts)).link);
        },
        onSuccess: () => {
            if (person) close();
        },
        onSettled: again,
    });
    return (
        <Drawer open title={person?.name ?? 'Invite somebody'} onClose={close} size={420}>
            {link === null || person ? (
                <Form layout="vertical" className="stack" onFinish={() => keep.mutate()}>
                    <FactsForm form={form} set={(patch) => setForm({ ...form, ...patch })} />
                    {person && <AwayDays away={form.away} set={(away) => setForm({ ...form, away })} />}
                    {keep.isError && <Says kind="bad">{saysWhy(keep.error)}</Says>}
                    <Button
                        type="primary"
                        htmlType="submit"
                        loading={keep.isPending}
                        disabled={form.name.trim() === '' || form.email.trim() === ''}
                    >
                        {person ? 'Keep' : 'Invite and show the link'}
                    </Button>
                </Form>
            ) : (
                <Told link={link} name={form.name} close={close} />
            )}
            {person && (
                <div className="mt-12">
                    <Door person={person} told={link} tell={setLink} again={again} />
                </div>
            )}
        </Drawer>
    );
}

function FactsForm({ form, set }: { form: Facts; set: (patch: Partial<Facts>) => void }) {
    return (
        <>
            <Field label="Name">
                <Input value={form.name} onChange={(e) => set({ name: e.target.value })} />
            </Field>
            <Field label="E-mail address">
                <Input type="email" value={form.email} onChange={(e) => set({ email: e.target.value })} />
            </Field>
            <Field label="Role">
                <Pick
                    value={form.role}
                    onChange={(role) => set({ role: role as Facts['role'] })}
                    options={Object.entries(ROLES).map(([value, label]) => ({ value, label }))}
                />
            </Field>
            <Checkbox checked={form.may_sign} onChange={(e) => set({ may_sign: e.target.checked })}>
                may accept faults and sign finished work
            </Checkbox>
            <Field label="Skill, 1 to 5" help="Tiers and techniques say which skill they ask for.">
                <InputNumber
                    min={1}
                    max={5}
                    precision={0}
                    value={form.skill}
                    onChange={(skill) => set({ skill: skill ?? 1 })}
                />
            </Field>
            <Field label="Hours a week at the bench">
                <InputNumber
                    min={0}
                    max={100}
                    step={0.5}
                    value={form.hours_week}
                    onChange={(hours_week) => set({ hours_week })}
                />
            </Field>
            <Field label="Largest batch, models">
                <InputNumber
                    min={1}
                    max={500}
                    precision={0}
                    value={form.largest_batch}
                    onChange={(largest_batch) => set({ largest_batch })}
                />
            </Field>
        </>
    );
}

function Told({ link, name, close }: { link: string; name: string; close: () => void }) {
    const base = useLinkBase();
    return (
        <>
            <Says kind="good">
                Give {name} this link. It lets them set a password, once, within seven days; it is not shown
                again:{' '}
                <Typography.Text strong copyable>
                    {base + link}
                </Typography.Text>
            </Says>
            <Button className="mt-12" type="primary" onClick={close}>
                Done
            </Button>
        </>
    );
}
