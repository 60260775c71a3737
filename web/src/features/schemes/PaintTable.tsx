import { useMutation, useQueryClient } from '@tanstack/react-query';
import { Button, Flex, Input, Modal, Upload } from 'antd';
import { useState } from 'react';
import { saysWhy } from '../../api/client';
import { PAINTS, readPaints, type TableOfPaints } from '../../api/paints';
import { useNotices } from '../../app/notices';
import { Field } from '../../ui/Field';
import { Swatch } from '../../ui/marks';
import { Pick } from '../../ui/Pick';
import { Says } from '../../ui/Says';

type Columns = TableOfPaints['columns'];

const FIELDS: { field: keyof Columns; label: string }[] = [
    { field: 'name', label: 'Name' },
    { field: 'hex', label: 'Colour' },
    { field: 'kind', label: 'Kind' },
    { field: 'hiding', label: 'How well it covers' },
    { field: 'ml', label: 'Millilitres' },
];
const TEMPLATE = 'name;kind;hex;hiding;ml\nMid grey;opaque;#7c8084;medium;17\n';
/** So many are shown before the rest are only counted. */
const SHOWN = 40;

/** Paints from a table of any kind: read and looked at first, then put on the shelf. */
export function PaintTable({ starter, close }: { starter: boolean; close: () => void }) {
    const queries = useQueryClient();
    const notices = useNotices();
    const [text, setText] = useState('');
    const [columns, setColumns] = useState<Columns>({});
    const read = useMutation({
        mutationFn: (given: { text: string; columns: Columns; keep: boolean }) =>
            readPaints({ text: starter ? null : given.text, columns: given.columns, keep: given.keep }),
        onSuccess: async (table, given) => {
            if (!given.keep) return;
            notices.done(`${table.added} paints are on the shelf now.`);
            await queries.invalidateQueries({ queryKey: PAINTS });
            close();
        },
    });
    const look = (next: { text?: string; columns?: Columns }) => {
        const given = { text, columns, ...next };
        setText(given.text);
        setColumns(given.columns);
        if (starter || given.text.trim() !== '') read.mutate({ ...given, keep: false });
    };
    const table = read.data;
    return (
        <Modal
            open
            title={starter ? 'The starter rack' : 'Paints from a table'}
            footer={null}
            width={680}
            onCancel={close}
            afterOpenChange={(open) => {
                if (open && starter) look({});
            }}
        >
            <Flex vertical gap={10}>
                {!starter && (
                    <>
                        <p className="m-0 soft">
                            Parted by commas, semicolons or tabs; the first line names the columns.{' '}
                            <a
                                href={`data:text/csv;charset=utf-8,${encodeURIComponent(TEMPLATE)}`}
                                download="paints.csv"
                            >
                                A table to fill in
                            </a>
                        </p>
                        <Upload
                            accept=".csv,.tsv,.txt,text/csv"
                            showUploadList={false}
                            beforeUpload={(file) => {
                                void file.text().then((t) => look({ text: t, columns: {} }));
                                return false;
                            }}
                        >
                            <Button>Choose a file</Button>
                        </Upload>
                        <Field label="Or paste it here">
                            <Input.TextArea
                                autoSize={{ minRows: 3, maxRows: 8 }}
                                value={text}
                                onChange={(e) => setText(e.target.value)}
                                onBlur={() => look({})}
                            />
                        </Field>
                    </>
                )}
                {table && !starter && (
                    <Flex gap={8} wrap>
                        {FIELDS.map(({ field, label }) => (
                            <Field key={field} label={label}>
                                <Pick
                                    value={table.columns[field] ?? ''}
                                    onChange={(header) =>
                                        look({ columns: { ...columns, [field]: header || null } })
                                    }
                                    options={[
                                        { value: '', label: 'not in the table' },
                                        ...table.headers.map((h) => ({ value: h, label: h })),
                                    ]}
                                />
                            </Field>
                        ))}
                    </Flex>
                )}
                {table && <Understood table={table} />}
                {read.isError && <Says kind="bad">{saysWhy(read.error)}</Says>}
                <Button
                    type="primary"
                    loading={read.isPending}
                    disabled={!table || table.paints.length === 0}
                    onClick={() => read.mutate({ text, columns, keep: true })}
                >
                    {table ? `Put ${table.paints.length} paints on the shelf` : 'Put them on the shelf'}
                </Button>
            </Flex>
        </Modal>
    );
}

function Understood({ table }: { table: TableOfPaints }) {
    return (
        <>
            <Flex gap={6} wrap>
                {table.paints.slice(0, SHOWN).map((p) => (
                    <span key={p.name} className="small">
                        <Swatch hex={p.hex} name={p.name} /> {p.name}
                    </span>
                ))}
                {table.paints.length > SHOWN && (
                    <span className="small soft">and {table.paints.length - SHOWN} more</span>
                )}
            </Flex>
            {table.there > 0 && (
                <p className="small soft m-0">
                    {table.there} stand on the shelf already and stay as they are.
                </p>
            )}
            {table.wrong.slice(0, SHOWN).map((w) => (
                <p key={w.line} className="small late m-0">
                    Line {w.line} {w.why}.
                </p>
            ))}
        </>
    );
}
