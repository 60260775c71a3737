import { Table } from 'antd';
import type { components } from '../../api/schema';

type Area = components['schemas']['MeasuredArea'];
type Figure = components['schemas']['MeasuredFigure'];

const shown = (f: Figure, write: (n: number) => string) =>
    f.value === null ? <span className="soft">{f.why}</span> : write(f.value);

/** What the photograph says of each area: a hint for the eye, never a verdict. */
export function Measured({ areas }: { areas: Area[] }) {
    return (
        <Table
            size="small"
            className="small mt-8"
            pagination={false}
            rowKey="area"
            scroll={{ x: true }}
            dataSource={[...areas].sort((a, b) => b.pixels - a.pixels)}
            columns={[
                { title: 'Area', dataIndex: 'name', className: 'strong' },
                {
                    title: 'Contrast, L*',
                    className: 'num',
                    render: (_, a) => shown(a.contrast, (n) => n.toFixed(0)),
                },
                { title: 'Tones', className: 'num', render: (_, a) => a.tones ?? '' },
                {
                    title: 'Light from above',
                    className: 'num',
                    render: (_, a) => shown(a.from_above, (n) => n.toFixed(2)),
                },
                {
                    title: 'Bare',
                    className: 'num',
                    render: (_, a) =>
                        shown(a.bare, (n) => (n === 0 ? 'none' : `${(100 * n).toFixed(1)} % of it`)),
                },
                {
                    title: 'Line',
                    className: 'num',
                    render: (_, a) => shown(a.line_width, (n) => `${n.toFixed(2)} mm`),
                },
            ]}
        />
    );
}
