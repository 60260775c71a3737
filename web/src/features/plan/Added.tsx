import { Table } from 'antd';
import type { Raised, Use } from '../../api/types';

const used = (list: Use[]): string =>
    list
        .map(
            (u) =>
                `${u.name.toLowerCase()}${u.extent === 'full' ? '' : ' in part'}${u.passes > 1 ? ` ×${u.passes}` : ''}`,
        )
        .join(', ');

/** What is added on each area, and what it covers. */
export function Added({ raised: r }: { raised: Raised }) {
    const rows = [
        ...r.areas.map((a) => ({
            name: a.name,
            anew: a.repainted,
            conflict: a.conflict,
            add: used(a.added),
            over: a.over,
            lost: used(a.lost),
            minutes: Math.max(a.added.length > 0 ? 1 : 0, Math.round(a.minutes)),
        })),
        ...(r.whole.length > 0
            ? [
                  {
                      name: 'Whole model',
                      anew: false,
                      conflict: null,
                      add: used(r.whole),
                      over: 0,
                      lost: '',
                      minutes: Math.round(r.whole.reduce((m, w) => m + w.minutes, 0)),
                  },
              ]
            : []),
    ];
    return (
        <Table
            size="small"
            pagination={false}
            scroll={{ y: '50vh' }}
            rowKey="name"
            dataSource={rows}
            columns={[
                {
                    title: 'Area',
                    width: 150,
                    render: (_, a) => (
                        <>
                            <b>{a.name}</b>
                            {a.anew && <div className="soft">painted anew, by brush</div>}
                        </>
                    ),
                },
                {
                    title: 'Add',
                    render: (_, a) => (
                        <>
                            {a.conflict ? <span className="late">{a.conflict}</span> : a.add}
                            {a.over > 0 && <div className="soft">{a.over} colour steps over</div>}
                        </>
                    ),
                },
                { title: 'Painted over, or not counted any more', dataIndex: 'lost', className: 'soft' },
                { title: 'Min', dataIndex: 'minutes', align: 'right', className: 'num', width: 60 },
            ]}
        />
    );
}
