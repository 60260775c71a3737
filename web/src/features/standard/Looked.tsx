import type { UseMutationResult } from '@tanstack/react-query';
import { Button } from 'antd';
import { Link } from 'react-router';
import { Problem, saysWhy } from '../../api/client';
import type { Preview } from '../../api/types';
import { Says } from '../../ui/Says';
import { ChangeList } from './ChangeList';
import { LongImport, type Taken } from './LongImport';
import css from './Standard.module.css';

/** A file that was looked at: what it would change, or what is wrong in it and where. */
export function Looked({
    file,
    preview,
    take,
}: {
    file: { name: string; text: string } | null;
    preview: UseMutationResult<Preview, Error, string>;
    take: UseMutationResult<Taken, Error, string>;
}) {
    const refused = preview.error ?? take.error;
    return (
        <section className="card pad" aria-live="polite">
            {!file ? (
                <p className="soft m-0">
                    Choose a pack or a file: what it would change is shown here before anything is taken in.
                </p>
            ) : (
                <>
                    <div className="eyebrow">{file.name}</div>
                    {preview.isPending && <p className="soft">Reading and comparing …</p>}
                    {refused && (
                        <Says kind="bad">
                            <b>It is not taken in, and nothing was changed.</b>
                            {refused instanceof Problem ? (
                                <ul className="pl-18 my-6 mx-0">
                                    {refused.body.errors.slice(0, 20).map((e) => (
                                        <li key={`${e.pointer}${e.detail}`}>
                                            <span className="num">{e.pointer || 'the file'}</span> {e.detail}
                                        </li>
                                    ))}
                                    {refused.body.errors.length === 0 && <li>{refused.body.detail}</li>}
                                </ul>
                            ) : (
                                <p>{saysWhy(refused)}</p>
                            )}
                        </Says>
                    )}
                    {take.data &&
                        ('import' in take.data ? (
                            <LongImport id={take.data.import.id} />
                        ) : (
                            <Says kind="good">
                                {take.data.said} <Link to="/standard">To the ladder</Link>
                            </Says>
                        ))}
                    {preview.data && !take.data && !refused && (
                        <>
                            <h2 className="mt-2 mx-0 mb-6">{preview.data.name}</h2>
                            {preview.data.format === 'ordotype/standard@1' && (
                                <p className="soft">
                                    {preview.data.changes.length === 0
                                        ? 'It is what you have already.'
                                        : `${preview.data.changes.length} things change. It becomes ` +
                                          `the open draft; what is published stays until you publish.`}
                                </p>
                            )}
                            <Button
                                type="primary"
                                disabled={take.isPending}
                                onClick={() => take.mutate(file.text)}
                            >
                                Take it in
                            </Button>
                            {preview.data.lint.map((f) => (
                                <Says kind="warn" key={f.why}>
                                    {f.why}
                                </Says>
                            ))}
                            <div className={css.tall}>
                                <ChangeList changes={preview.data.changes} />
                            </div>
                        </>
                    )}
                </>
            )}
        </section>
    );
}
