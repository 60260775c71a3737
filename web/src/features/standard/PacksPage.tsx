import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { Button, Flex, Upload } from 'antd';
import { useState } from 'react';
import { packsQuery, packText, previewFile, takeFile } from '../../api/standard';
import { useNotices } from '../../app/notices';
import { can, usePerson } from '../../app/session';
import { Top } from '../../app/Top';
import { Failed, Loading } from '../../ui/states';
import { Looked } from './Looked';
import css from './Standard.module.css';
import { StandardTabs } from './StandardTabs';

/** Whole standards and other files in the open formats: looked at first, then taken in, all or nothing. */
export default function PacksPage() {
    const queries = useQueryClient();
    const person = usePerson();
    const notices = useNotices();
    const packs = useQuery(packsQuery());
    const [file, setFile] = useState<{ name: string; text: string } | null>(null);
    const preview = useMutation({ mutationFn: previewFile });
    const take = useMutation({
        mutationFn: takeFile,
        onSuccess: () => queries.invalidateQueries(),
    });
    const look = (name: string, text: string) => {
        take.reset();
        setFile({ name, text });
        preview.mutate(text);
    };
    if (packs.isPending) return <Loading what="the packs" />;
    if (packs.isError) return <Failed error={packs.error} again={() => void packs.refetch()} />;
    return (
        <>
            <Top>
                <h1>Packs and files</h1>
                <span className="room" />
                <Button href="/api/v1/standard/ladder.csv" download>
                    Ladder as CSV
                </Button>
            </Top>
            <StandardTabs />
            <div className={`page ${css.packs}`}>
                <Flex vertical gap={12}>
                    {packs.data.data.map((p) => (
                        <section key={p.key} className="card pad">
                            <h2>{p.name}</h2>
                            <p className="small soft mt-4 mx-0 mb-8">
                                {p.tiers.join(' · ')}
                                <br />
                                {p.clauses} clauses, {p.techniques} techniques
                            </p>
                            {can(person, 'import') && (
                                <Button
                                    onClick={() =>
                                        void packText(p.key).then(
                                            (text) => look(p.name, text),
                                            notices.failed,
                                        )
                                    }
                                >
                                    See what it would change
                                </Button>
                            )}{' '}
                            <Button type="link" href={`/api/v1/packs/${p.key}`} download>
                                Download
                            </Button>
                        </section>
                    ))}
                    {can(person, 'import') && (
                        <section className="card pad">
                            <h2>A file of yours</h2>
                            <p className="small soft">
                                A standard, a figure, a scheme, an order in its open format (JSON), or a shelf
                                of paints (CSV).
                            </p>
                            <Upload
                                accept=".json,.csv"
                                showUploadList={false}
                                beforeUpload={(f) => {
                                    void f.text().then((text) => look(f.name, text), notices.failed);
                                    return false;
                                }}
                            >
                                <Button>Choose a file</Button>
                            </Upload>
                        </section>
                    )}
                </Flex>
                <Looked file={file} preview={preview} take={take} />
            </div>
        </>
    );
}
