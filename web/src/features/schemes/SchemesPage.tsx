import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { Button, Form, Input, Modal, Table } from 'antd';
import { useState } from 'react';
import { Link, useNavigate } from 'react-router';
import { saysWhy } from '../../api/client';
import { makeScheme, schemesQuery } from '../../api/colours';
import { can, usePerson } from '../../app/session';
import { Top } from '../../app/Top';
import { Field } from '../../ui/Field';
import { Says } from '../../ui/Says';
import { Empty, Failed, Loading } from '../../ui/states';
import { OrdersTabs } from '../orders/OrdersTabs';
import { OUTCOME } from './scheme';

export default function SchemesPage() {
    const person = usePerson();
    const queries = useQueryClient();
    const go = useNavigate();
    const [name, setName] = useState<string | null>(null);
    const query = useQuery(schemesQuery());
    const make = useMutation({
        mutationFn: (n: string) => makeScheme({ document: { name: n, slots: {}, areas: {} } }),
        onSuccess: async (s) => {
            await queries.invalidateQueries({ queryKey: schemesQuery().queryKey });
            await go(`/schemes/${s.slug}`);
        },
    });
    const open = () => setName('');
    return (
        <>
            <Top>
                <h1>Schemes</h1>
                <span className="room" />
                {can(person, 'schemes.edit') && (
                    <Button type="primary" onClick={open}>
                        New scheme
                    </Button>
                )}
            </Top>
            <OrdersTabs />
            <div className="page">
                {query.isPending ? (
                    <Loading what="the schemes" />
                ) : query.isError ? (
                    <Failed error={query.error} again={() => void query.refetch()} />
                ) : query.data.data.length === 0 ? (
                    <Empty title="No scheme yet">
                        <p>
                            A scheme holds the colours of an army, slot by slot: main cloth, leather, steel.
                            It is shown on every figure of an order.
                        </p>
                        {can(person, 'schemes.edit') && (
                            <Button type="primary" onClick={open}>
                                Make the first one
                            </Button>
                        )}
                    </Empty>
                ) : (
                    <Table
                        size="small"
                        className="card"
                        pagination={false}
                        rowKey={(s) => s.slug}
                        dataSource={query.data.data}
                        columns={[
                            {
                                key: '0',
                                title: 'Scheme',
                                render: (_, s) => (
                                    <Link className="strong" to={`/schemes/${s.slug}`}>
                                        {s.name}
                                    </Link>
                                ),
                            },
                            {
                                key: '1',
                                title: 'Version',
                                className: 'num',
                                render: (_, s) => <>v{s.number}</>,
                            },
                            { key: '2', title: 'Test model', render: (_, s) => OUTCOME[s.outcome] },
                            {
                                key: '3',
                                title: 'Orders',
                                align: 'right',
                                className: 'num',
                                render: (_, s) => s.orders,
                            },
                        ]}
                    />
                )}
            </div>
            <Modal
                open={name !== null}
                title="New scheme"
                footer={null}
                onCancel={() => setName(null)}
                destroyOnHidden
            >
                <Form
                    layout="vertical"
                    className="stack"
                    onFinish={() => {
                        make.mutate(name ?? '');
                    }}
                >
                    <Field label="What it is called">
                        <Input autoFocus value={name ?? ''} onChange={(e) => setName(e.target.value)} />
                    </Field>
                    {make.isError && <Says kind="bad">{saysWhy(make.error)}</Says>}
                    <Button type="primary" htmlType="submit" disabled={make.isPending}>
                        Make it
                    </Button>
                </Form>
            </Modal>
        </>
    );
}
