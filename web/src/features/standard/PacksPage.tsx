import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { Link } from 'react-router';
import { api, Problem, saysWhy } from '../../api/client';
import type { Pack, Preview } from '../../api/types';
import { Top } from '../../app/Frame';
import { can, usePerson } from '../../app/session';
import { Failed, Loading } from '../../ui/states';
import { ChangeList } from './StandardPage';
import { StandardTabs } from './StandardTabs';

/** Whole standards and other files in the open formats: looked at first, then taken in, all or nothing. */
export default function PacksPage() {
    const queries = useQueryClient();
    const person = usePerson();
    const packs = useQuery({ queryKey: ['packs'], queryFn: () => api.get<{ data: Pack[] }>('packs') });
    const [file, setFile] = useState<{ name: string; text: string } | null>(null);
    const preview = useMutation({ mutationFn: (text: string) => api.file<Preview>('imports/preview', text) });
    const take = useMutation({
        mutationFn: (text: string) => api.file<{ said: string }>('imports', text),
        onSuccess: () => queries.invalidateQueries(),
    });
    const look = (name: string, text: string) => {
        take.reset();
        setFile({ name, text });
        preview.mutate(text);
    };
    if (packs.isPending) return <Loading what="the packs" />;
    if (packs.isError) return <Failed error={packs.error} again={() => void packs.refetch()} />;
    const refused = preview.error ?? take.error;
    return (
        <>
            <Top>
                <h1>Packs and files</h1>
                <span className="room" />
                <a className="btn" href="/api/v1/standard/ladder.csv" download>
                    Ladder as CSV
                </a>
            </Top>
            <StandardTabs />
            <div
                className="page"
                style={{
                    display: 'grid',
                    gridTemplateColumns: '340px minmax(0, 1fr)',
                    gap: 16,
                    alignItems: 'start',
                }}
            >
                <div style={{ display: 'grid', gap: 12 }}>
                    {packs.data.data.map((p) => (
                        <section key={p.key} className="card pad">
                            <h2>{p.name}</h2>
                            <p className="small soft" style={{ margin: '4px 0 8px' }}>
                                {p.tiers.join(' · ')}
                                <br />
                                {p.clauses} clauses, {p.techniques} techniques
                            </p>
                            {can(person, 'import') && (
                                <button
                                    className="btn"
                                    onClick={() =>
                                        void fetch(`/api/v1/packs/${p.key}`, {
                                            headers: { Accept: 'application/json' },
                                        })
                                            .then((r) => r.text())
                                            .then((text) => look(p.name, text))
                                    }
                                >
                                    See what it would change
                                </button>
                            )}{' '}
                            <a className="btn quiet" href={`/api/v1/packs/${p.key}`} download>
                                Download
                            </a>
                        </section>
                    ))}
                    {can(person, 'import') && (
                        <section className="card pad">
                            <h2>A file of yours</h2>
                            <p className="small soft">
                                A standard, a figure, a scheme, an order in its open format (JSON), or a shelf
                                of paints (CSV).
                            </p>
                            <label className="btn">
                                Choose a file
                                <input
                                    type="file"
                                    className="unseen"
                                    aria-label="A file of yours"
                                    accept=".json,.csv,application/json,text/csv"
                                    onChange={(e) => {
                                        const chosen = e.target.files?.[0];
                                        if (chosen)
                                            void chosen.text().then((text) => look(chosen.name, text));
                                    }}
                                />
                            </label>
                        </section>
                    )}
                </div>
                <section className="card pad" aria-live="polite">
                    {!file ? (
                        <p className="soft" style={{ margin: 0 }}>
                            Choose a pack or a file: what it would change is shown here before anything is
                            taken in.
                        </p>
                    ) : (
                        <>
                            <div className="eyebrow">{file.name}</div>
                            {preview.isPending && <p className="soft">Reading and comparing …</p>}
                            {refused && (
                                <div className="says bad" role="alert">
                                    <b>It is not taken in, and nothing was changed.</b>
                                    {refused instanceof Problem ? (
                                        <ul style={{ paddingLeft: 18, margin: '6px 0' }}>
                                            {refused.body.errors.slice(0, 20).map((e) => (
                                                <li key={`${e.pointer}${e.detail}`}>
                                                    <span className="num">{e.pointer || 'the file'}</span>{' '}
                                                    {e.detail}
                                                </li>
                                            ))}
                                            {refused.body.errors.length === 0 && (
                                                <li>{refused.body.detail}</li>
                                            )}
                                        </ul>
                                    ) : (
                                        <p>{saysWhy(refused)}</p>
                                    )}
                                </div>
                            )}
                            {take.data && (
                                <p className="says good">
                                    {take.data.said} <Link to="/standard">To the ladder</Link>
                                </p>
                            )}
                            {preview.data && !take.data && !refused && (
                                <>
                                    <h2 style={{ margin: '2px 0 6px' }}>{preview.data.name}</h2>
                                    {preview.data.format === 'ordotype/standard@1' && (
                                        <p className="soft">
                                            {preview.data.changes.length === 0
                                                ? 'It is what you have already.'
                                                : `${preview.data.changes.length} things change. It becomes the open draft; what is published stays until you publish.`}
                                        </p>
                                    )}
                                    <button
                                        className="btn main"
                                        disabled={take.isPending}
                                        onClick={() => take.mutate(file.text)}
                                    >
                                        Take it in
                                    </button>
                                    {preview.data.lint.map((f) => (
                                        <p key={f.why} className="says warn small">
                                            {f.why}
                                        </p>
                                    ))}
                                    <div style={{ maxHeight: '55vh', overflow: 'auto', marginTop: 10 }}>
                                        <ChangeList changes={preview.data.changes} />
                                    </div>
                                </>
                            )}
                        </>
                    )}
                </section>
            </div>
        </>
    );
}
