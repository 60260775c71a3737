import { useQuery } from '@tanstack/react-query';
import { Button, Drawer, Flex, Input } from 'antd';
import { useMemo, useState } from 'react';
import { techniquesQuery } from '../../api/standard';
import type { Technique } from '../../api/types';
import { useNotices } from '../../app/notices';
import { can, usePerson } from '../../app/session';
import { Top } from '../../app/Top';
import { Chip } from '../../ui/Chip';
import { Empty, Loading } from '../../ui/states';
import { useDraft } from './draft';
import { NoLadder } from './NoLadder';
import { StandardTabs } from './StandardTabs';
import { TechniqueCard } from './TechniqueCard';
import { NEW } from './newTechnique';
import { TechniqueForm } from './TechniqueForm';
import { effectWords, valuesOf, word } from './words';

export default function TechniquesPage() {
    const person = usePerson();
    const draft = useDraft(useNotices());
    const query = useQuery(techniquesQuery());
    const [find, setFind] = useState('');
    const [family, setFamily] = useState('');
    const [edit, setEdit] = useState<{ before: Technique | null; now: Technique } | null>(null);
    const shown = useMemo(
        () =>
            (query.data?.data ?? []).filter(
                ({ technique: t }) =>
                    (family === '' || t.family === family) &&
                    (find === '' ||
                        `${t.name} ${t.notes.purpose} ${Object.keys(t.effects).map(effectWords).join(' ')}`
                            .toLowerCase()
                            .includes(find.toLowerCase())),
            ),
        [query.data, find, family],
    );
    if (query.isPending) return <Loading what="the catalogue" />;
    if (query.isError) return <NoLadder error={query.error} again={() => void query.refetch()} />;
    const writes = query.data.version.status === 'draft' && can(person, 'standard.edit');
    const put = async (before: Technique | null, after: Technique) => {
        if (
            await draft.make([
                { what: 'technique', tier: null, before: before && { ...before }, after: { ...after } },
            ])
        )
            setEdit(null);
    };
    return (
        <>
            <Top>
                <h1>Techniques</h1>
                <span className="pill">
                    v{query.data.version.number}, {query.data.version.status}
                </span>
                <span className="room" />
                {writes && (
                    <>
                        <Button disabled={draft.busy || !draft.canUndo} onClick={() => void draft.undo()}>
                            Undo
                        </Button>
                        <Button type="primary" onClick={() => setEdit({ before: null, now: NEW })}>
                            Add a technique
                        </Button>
                    </>
                )}
            </Top>
            <StandardTabs />
            <div className="page">
                <div>
                    <Flex gap={8} align="center" wrap className="mb-12">
                        <Input
                            className="search"
                            allowClear
                            placeholder="Find a technique"
                            aria-label="Find a technique"
                            value={find}
                            onChange={(e) => setFind(e.target.value)}
                        />
                        <div className="chips">
                            {['', ...valuesOf('family')].map((f) => (
                                <Chip on={family === f} key={f} onClick={() => setFamily(f)}>
                                    {f === '' ? 'all' : word('family', f)}
                                </Chip>
                            ))}
                        </div>
                        {!writes && can(person, 'standard.edit') && (
                            <span className="small soft">
                                Open a draft on the ladder to change the catalogue.
                            </span>
                        )}
                    </Flex>
                    {shown.length === 0 && (
                        <Empty title="No technique like that">
                            <p>Look for another word, or add it to the studio's catalogue.</p>
                        </Empty>
                    )}
                    <div className="cards">
                        {shown.map(({ technique: t, used_by }) => (
                            <TechniqueCard
                                key={t.key}
                                technique={t}
                                usedBy={used_by}
                                {...(writes
                                    ? {
                                          busy: draft.busy,
                                          change: () => setEdit({ before: t, now: t }),
                                          put: (after: Technique) => void put(t, after),
                                      }
                                    : {})}
                            />
                        ))}
                    </div>
                </div>
                {edit && (
                    <Drawer
                        open
                        size={400}
                        title={edit.before ? `Change ${edit.before.name}` : 'A technique of your own'}
                        onClose={() => {
                            draft.forget();
                            setEdit(null);
                        }}
                    >
                        <TechniqueForm
                            edit={edit}
                            busy={draft.busy}
                            clash={draft.clash !== null}
                            set={(now) => setEdit({ ...edit, now })}
                            put={(after) => void put(edit.before, after)}
                            close={() => {
                                draft.forget();
                                setEdit(null);
                            }}
                        />
                    </Drawer>
                )}
            </div>
        </>
    );
}
