import { useMutation, useQueryClient } from '@tanstack/react-query';
import { Button, Flex, Image, Upload } from 'antd';
import dayjs from 'dayjs';
import { Fragment, type ReactNode, useState } from 'react';
import { Link } from 'react-router';
import { saysWhy } from '../../api/client';
import { colourOrder, editOrder, orderQuery, ORDERS, takePicture } from '../../api/orders';
import type { Order, OrderFacts } from '../../api/types';
import { Day } from '../../ui/Day';
import { Field } from '../../ui/Field';
import { InPlace } from '../../ui/InPlace';
import { Pick } from '../../ui/Pick';
import { Says } from '../../ui/Says';
import { word } from '../standard/words';
import css from './Orders.module.css';

/** What holds for the whole order: the brief, its scheme, the picture the client wants it to look like, its method. */
export function Facts({ order, editable }: { order: Order; editable: boolean }) {
    const queries = useQueryClient();
    const [changing, setChanging] = useState(false);
    const set = useMutation({
        mutationFn: (patch: { scheme?: string | null; reference?: string | null }) =>
            colourOrder(order.id, patch),
        onSuccess: () => queries.invalidateQueries(),
    });
    const take = useMutation({
        mutationFn: async (file: File) => set.mutateAsync({ reference: (await takePicture(file)).sha256 }),
    });
    return (
        <section className="card pad">
            <Flex justify="space-between" align="center">
                <span className="eyebrow">The brief</span>
                {editable && (
                    <Button type="link" size="small" onClick={() => setChanging(!changing)}>
                        {changing ? 'Done' : 'Change'}
                    </Button>
                )}
            </Flex>
            {changing ? (
                <Written order={order} />
            ) : (
                <p className="my-6">{order.brief ? `“${order.brief}”` : 'Nothing was written down.'}</p>
            )}
            <Flex vertical gap={8} className="my-10">
                <Field label="Scheme">
                    <Pick
                        disabled={!editable || set.isPending}
                        value={order.scheme_slug ?? ''}
                        onChange={(scheme) => set.mutate({ scheme: scheme || null })}
                        options={[
                            { value: '', label: 'none yet' },
                            ...order.schemes.map((s) => ({ value: s.slug, label: s.name })),
                        ]}
                    />
                </Field>
                {order.scheme_slug && (
                    <Link className="small" to={`/schemes/${order.scheme_slug}?order=${order.id}`}>
                        Its colours on these figures
                    </Link>
                )}
                {order.reference && (
                    <Image
                        className={css.reference}
                        src={`/api/v1/pictures/${order.reference}`}
                        alt="The client’s reference picture"
                    />
                )}
                {editable && (
                    <Upload
                        accept="image/png,image/jpeg,image/webp"
                        showUploadList={false}
                        disabled={take.isPending}
                        pastable
                        beforeUpload={(file) => {
                            take.mutate(file);
                            return false;
                        }}
                    >
                        <Button loading={take.isPending}>
                            {order.reference ? 'Another reference picture' : 'The client’s reference picture'}
                        </Button>
                    </Upload>
                )}
                {(set.isError || take.isError) && <Says kind="bad">{saysWhy(set.error ?? take.error)}</Says>}
            </Flex>
            {order.method && <p className="small soft m-0">Method: {schools(order.method)}</p>}
        </section>
    );
}

/** Whose it is, its name, its day and its brief, each changed where it stands. */
function Written({ order }: { order: Order }) {
    const queries = useQueryClient();
    const keep = useMutation({
        // One after the other, each with the revision that the one before it made: two fields that are left quickly
        // are no quarrel between two people.
        scope: { id: `order ${order.id}` },
        mutationFn: (facts: OrderFacts) =>
            editOrder(order.id, {
                revision: queries.getQueryData(orderQuery(order.id).queryKey)?.revision ?? order.revision,
                ...facts,
            }),
        // Refused, too: somebody else may have changed it, and both are to be seen.
        onSettled: () =>
            Promise.all([
                queries.invalidateQueries({ queryKey: orderQuery(order.id).queryKey }),
                queries.invalidateQueries({ queryKey: ORDERS }),
            ]),
    });
    const line = (fact: keyof OrderFacts, label: string, rows?: number) => (
        <InPlace
            label={label}
            rows={rows}
            value={order[fact] ?? ''}
            save={(text) => keep.mutateAsync({ [fact]: text === '' ? null : text })}
        />
    );
    const dated = (fact: 'due_on' | 'promised_on', label: string) => (
        <Field label={label}>
            <Day
                variant="filled"
                value={order[fact] ? dayjs(order[fact]) : null}
                disabled={keep.isPending}
                onChange={(on) => keep.mutate({ [fact]: on?.format('YYYY-MM-DD') ?? null })}
            />
        </Field>
    );
    // One that is missing here does not compile.
    const facts: { [F in keyof OrderFacts]-?: ReactNode } = {
        title: line('title', 'What it is called'),
        client: line('client', 'Client'),
        payer: line('payer', 'Who pays, where it is somebody else'),
        client_reference: line('client_reference', 'What the client calls it'),
        due_on: dated('due_on', 'Asked for'),
        promised_on: dated('promised_on', 'Promised'),
        brief: line('brief', 'Brief', 3),
    };
    return (
        <Flex vertical gap={8} className="my-6">
            {Object.entries(facts).map(([fact, row]) => (
                <Fragment key={fact}>{row}</Fragment>
            ))}
        </Flex>
    );
}

const said = (school: string, answer: string): string =>
    school === 'undercoat_colour' ? answer : word('answer', `${school}:${answer}`);

const schools = (method: NonNullable<Order['method']>): string =>
    Object.entries(method)
        .filter(([k]) => k !== 'format')
        .map(
            ([k, v]) =>
                // A paint goes by its own name.
                `${word('school', k)}: ${typeof v === 'string' ? said(k, v) : 'by area'}`,
        )
        .join(', ');
