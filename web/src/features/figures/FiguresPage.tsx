import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { App, Modal } from 'antd';
import { useRef, useState } from 'react';
import { Link, useNavigate } from 'react-router';
import { api, saysWhy } from '../../api/client';
import type { SculptBrief, SculptMap, SculptTemplate } from '../../api/types';
import { Top } from '../../app/Frame';
import { can, usePerson } from '../../app/session';
import { Figure } from '../../ui/Figure';
import { Empty, Failed, Loading } from '../../ui/states';
import { OrdersTabs } from '../orders/OrdersTabs';

export default function FiguresPage() {
    const person = usePerson();
    const queries = useQueryClient();
    const { message } = App.useApp();
    const file = useRef<HTMLInputElement>(null);
    const [making, setMaking] = useState(false);
    const query = useQuery({
        queryKey: ['sculpts'],
        queryFn: () => api.get<{ data: SculptBrief[]; templates: SculptTemplate[] }>('sculpts'),
    });
    const take = useMutation({
        mutationFn: (text: string) => api.file<{ taken: string }>('imports', text),
        onSuccess: async () => {
            await queries.invalidateQueries({ queryKey: ['sculpts'] });
            void message.success('Taken in.');
        },
        onError: (e) => void message.error(saysWhy(e), 8),
    });
    const editable = can(person, 'schemes.edit');
    return (
        <>
            <Top>
                <h1>Figures</h1>
                <span className="room" />
                {editable && (
                    <>
                        <input
                            ref={file}
                            type="file"
                            accept=".json,application/json"
                            hidden
                            onChange={(e) => {
                                const f = e.target.files?.[0];
                                if (f) void f.text().then((t) => take.mutate(t));
                                e.target.value = '';
                            }}
                        />
                        <button
                            className="btn"
                            disabled={take.isPending}
                            onClick={() => file.current?.click()}
                        >
                            From a file
                        </button>
                        <button className="btn main" onClick={() => setMaking(true)}>
                            New figure
                        </button>
                    </>
                )}
            </Top>
            <OrdersTabs />
            <div className="page">
                {query.isPending ? (
                    <Loading what="the figures" />
                ) : query.isError ? (
                    <Failed error={query.error} again={() => void query.refetch()} />
                ) : query.data.data.length === 0 ? (
                    <Empty title="No figure yet">
                        <p>
                            A figure is a kind of model with its areas: what is painted as one thing. Start
                            from a schematic and untick what it lacks; outlines can come later.
                        </p>
                        {editable && (
                            <button className="btn main" onClick={() => setMaking(true)}>
                                Make the first one
                            </button>
                        )}
                    </Empty>
                ) : (
                    <div className="figure-cards">
                        {query.data.data.map((s) => (
                            <Link key={s.slug} to={`/figures/${s.slug}`} className="card pad">
                                <div className="thumb">
                                    <Figure areas={s.figure} view="front" frame={s.frame_mm} />
                                </div>
                                <b>{s.name}</b>
                                <span className="small soft">
                                    {s.role}, {s.size} · {s.areas} areas
                                    {s.outlined < s.areas ? `, ${s.outlined} outlined` : ''}
                                </span>
                            </Link>
                        ))}
                    </div>
                )}
            </div>
            <Modal
                open={making}
                title="New figure"
                footer={null}
                width={640}
                onCancel={() => setMaking(false)}
                destroyOnHidden
            >
                {query.data && <NewFigure templates={query.data.templates} />}
            </Modal>
        </>
    );
}

interface AreaDraft {
    key: string;
    name: string;
    share_pct: number;
    touches: string[];
    surround: string | null;
}
interface SculptDraft {
    name: string;
    role: string;
    size: string;
    base_mm: number | null;
    surface_cm2: number;
    areas: AreaDraft[];
}

/** Role, size, base and a schematic; what the figure lacks is unticked. */
function NewFigure({ templates }: { templates: SculptTemplate[] }) {
    const queries = useQueryClient();
    const go = useNavigate();
    const [key, setKey] = useState(templates[0]?.key ?? '');
    const from = templates.find((t) => t.key === key)?.document as unknown as SculptDraft | undefined;
    const [form, setForm] = useState({ name: '', role: 'regular', base: 32, lacks: [] as string[] });
    const make = useMutation({
        mutationFn: () => {
            if (!from) throw new Error('There is no schematic to start from.');
            const left = from.areas.filter((a) => !form.lacks.includes(a.key));
            const all = left.reduce((s, a) => s + a.share_pct, 0);
            const areas = left.map((a) => ({
                ...a,
                share_pct: Math.round((a.share_pct * 1000) / all) / 10,
                touches: a.touches.filter((t) => !form.lacks.includes(t)),
                surround: a.surround !== null && form.lacks.includes(a.surround) ? null : a.surround,
            }));
            const first = areas[0];
            if (first)
                first.share_pct =
                    Math.round(10 * (first.share_pct + 100 - areas.reduce((s, a) => s + a.share_pct, 0))) /
                    10;
            return api.post<SculptMap>('sculpts', {
                document: { ...from, name: form.name, role: form.role, base_mm: form.base, areas },
            });
        },
        onSuccess: async (s) => {
            await queries.invalidateQueries({ queryKey: ['sculpts'] });
            await go(`/figures/${s.slug}`);
        },
    });
    return (
        <form
            style={{ display: 'grid', gap: 12 }}
            onSubmit={(e) => {
                e.preventDefault();
                make.mutate();
            }}
        >
            <label className="field">
                <span>What it is called</span>
                <input
                    className="input"
                    autoFocus
                    required
                    value={form.name}
                    onChange={(e) => setForm({ ...form, name: e.target.value })}
                />
            </label>
            <div style={{ display: 'grid', gridTemplateColumns: '1.4fr 1fr 1fr', gap: 10 }}>
                <label className="field">
                    <span>Start from</span>
                    <select
                        className="input"
                        value={key}
                        onChange={(e) => {
                            setKey(e.target.value);
                            setForm({ ...form, lacks: [] });
                        }}
                    >
                        {templates.map((t) => (
                            <option key={t.key} value={t.key}>
                                {t.name}
                            </option>
                        ))}
                    </select>
                </label>
                <label className="field">
                    <span>Role</span>
                    <select
                        className="input"
                        value={form.role}
                        onChange={(e) => setForm({ ...form, role: e.target.value })}
                    >
                        {['regular', 'hero', 'horde', 'centrepiece'].map((r) => (
                            <option key={r}>{r}</option>
                        ))}
                    </select>
                </label>
                <label className="field">
                    <span>Base, mm across</span>
                    <input
                        className="input num"
                        type="number"
                        min={5}
                        max={300}
                        value={form.base}
                        onChange={(e) => setForm({ ...form, base: Number(e.target.value) })}
                    />
                </label>
            </div>
            <fieldset style={{ border: 0, padding: 0, margin: 0 }}>
                <legend className="small soft">It has these areas; untick what it lacks</legend>
                <div className="chips" style={{ marginTop: 4 }}>
                    {from?.areas.map((a) => (
                        <button
                            key={a.key}
                            type="button"
                            className="chip"
                            aria-pressed={!form.lacks.includes(a.key)}
                            onClick={() =>
                                setForm({
                                    ...form,
                                    lacks: form.lacks.includes(a.key)
                                        ? form.lacks.filter((k) => k !== a.key)
                                        : [...form.lacks, a.key],
                                })
                            }
                        >
                            {a.name}
                        </button>
                    ))}
                </div>
            </fieldset>
            {make.isError && (
                <p className="says bad" role="alert">
                    {saysWhy(make.error)}
                </p>
            )}
            <button
                className="btn main"
                disabled={
                    make.isPending ||
                    form.name.trim() === '' ||
                    (from !== undefined && form.lacks.length >= from.areas.length)
                }
            >
                Make the figure
            </button>
        </form>
    );
}
