import { useInfiniteQuery } from '@tanstack/react-query';
import { Button, Drawer, Flex, Table } from 'antd';
import { useState } from 'react';
import { paintsQuery, type ShelfPaint } from '../../api/paints';
import { can, usePerson } from '../../app/session';
import { Top } from '../../app/Top';
import { Find, Listed } from '../../ui/Listed';
import { Swatch } from '../../ui/marks';
import { Empty } from '../../ui/states';
import { useSettled } from '../../ui/useSettled';
import { OrdersTabs } from '../orders/OrdersTabs';
import { HIDING, KINDS } from './paint';
import { PaintForm } from './PaintForm';
import { PaintTable } from './PaintTable';
import { PotForm } from './PotForm';

/** The shelf: what schemes are made of. */
export default function PaintsPage() {
    const person = usePerson();
    const [adding, setAdding] = useState(false);
    const [find, setFind] = useState('');
    const wanted = useSettled(find, 200);
    const query = useInfiniteQuery(paintsQuery(wanted));
    const [table, setTable] = useState<'table' | 'starter' | null>(null);
    const [pot, setPot] = useState<ShelfPaint | null>(null);
    const may = can(person, 'schemes.edit');
    const add = may && (
        <Button type="primary" onClick={() => setAdding(true)}>
            Add a paint
        </Button>
    );
    const read = may && <Button onClick={() => setTable('table')}>Read a table</Button>;
    return (
        <>
            <Top>
                <h1>Paints</h1>
                <span className="room" />
                {read}
                {add}
            </Top>
            <OrdersTabs />
            <div className="page">
                <Listed
                    what="the shelf"
                    query={query}
                    narrowed={wanted !== ''}
                    tools={<Find label="Find a paint" value={find} onChange={setFind} />}
                    empty={
                        <Empty title="The shelf is empty">
                            <p>
                                Schemes name paints from here. Take a rack of plain colours to begin with,
                                read your own table, or add them one by one.
                            </p>
                            <Flex gap={8} justify="center" wrap>
                                {may && (
                                    <Button onClick={() => setTable('starter')}>Take the starter rack</Button>
                                )}
                                {read}
                                {add}
                            </Flex>
                        </Empty>
                    }
                >
                    {(paints) => <Shelf paints={paints} pick={may ? setPot : null} />}
                </Listed>
            </div>
            {pot && <PotForm paint={pot} close={() => setPot(null)} />}
            {table && <PaintTable starter={table === 'starter'} close={() => setTable(null)} />}
            <Drawer
                open={adding}
                title="Add a paint"
                size={380}
                onClose={() => setAdding(false)}
                destroyOnHidden
            >
                <PaintForm />
            </Drawer>
        </>
    );
}

const Shelf = ({ paints, pick }: { paints: ShelfPaint[]; pick: ((paint: ShelfPaint) => void) | null }) => (
    <Table
        size="small"
        className="card"
        pagination={false}
        rowKey={(p) => p.name}
        dataSource={paints}
        columns={[
            {
                key: 'name',
                title: 'Paint',
                render: (_, p) => (
                    <span className="paint-pick">
                        <Swatch hex={p.hex} name={p.name} /> <b>{p.name}</b>
                    </span>
                ),
            },
            { key: 'kind', title: 'Kind', render: (_, p) => KINDS[p.kind] ?? p.kind },
            { key: 'hiding', title: 'Covers', render: (_, p) => HIDING[p.hiding] },
            { key: 'ml', title: 'Left', align: 'right', className: 'num', render: (_, p) => `${p.ml} ml` },
            {
                key: 'price',
                title: 'A pot costs',
                align: 'right',
                className: 'num',
                render: (_, p) =>
                    pick ? (
                        <Button type="link" size="small" onClick={() => pick(p)}>
                            {p.price ?? 'say it'}
                        </Button>
                    ) : (
                        p.price
                    ),
            },
        ]}
    />
);
