import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { Button, Checkbox, Flex, Form, Image, Input, InputNumber, Upload } from 'antd';
import { useState } from 'react';
import { saysWhy } from '../../api/client';
import { takePicture } from '../../api/orders';
import { setStudio, type Studio, studioQuery } from '../../api/session';
import { useNotices } from '../../app/notices';
import { Top } from '../../app/Top';
import { Field } from '../../ui/Field';
import { Pick } from '../../ui/Pick';
import { Says } from '../../ui/Says';
import { Failed, Loading } from '../../ui/states';
import { valuesOf, word } from '../standard/words';
import { Money } from './Money';
import { ROLES } from './roles';
import { SettingsTabs } from './SettingsTabs';

export default function StudioPage() {
    const query = useQuery(studioQuery());
    return (
        <>
            <Top>
                <h1>Studio</h1>
            </Top>
            <SettingsTabs />
            <div className="page">
                {query.isPending ? (
                    <Loading what="the studio" />
                ) : query.isError ? (
                    <Failed error={query.error} again={() => void query.refetch()} />
                ) : (
                    <>
                        <StudioForm studio={query.data} />
                        <TakeAway />
                    </>
                )}
            </div>
        </>
    );
}

const ROLE_OPTIONS = (['lead', 'painter', 'desk'] as const).map((role) => ({
    value: role,
    label: ROLES[role],
}));

const CURRENCIES = new Intl.DisplayNames('en', { type: 'currency' });

const named = (code: string): string => `${code}, ${CURRENCIES.of(code) ?? code}`;

const LOOPBACK = /^https?:\/\/(localhost|127\.|\[::1\])/;

/** The studio's own sign for certificates, slips and labels. */
function Mark({ sha, set }: { sha: string | null; set: (sha: string | null) => void }) {
    const take = useMutation({
        mutationFn: takePicture,
        onSuccess: ({ sha256 }) => set(sha256),
    });
    return (
        <section aria-label="Mark on papers">
            <div className="small soft mb-6">Mark on papers</div>
            <Flex gap={12} align="center">
                {sha && <Image width={48} src={`/api/v1/pictures/${sha}`} alt="The studio’s mark" />}
                <Upload
                    accept="image/png,image/jpeg,image/webp"
                    showUploadList={false}
                    beforeUpload={(file) => {
                        take.mutate(file);
                        return false;
                    }}
                >
                    <Button loading={take.isPending}>{sha ? 'Another mark' : 'Choose a mark'}</Button>
                </Upload>
                {sha && <Button onClick={() => set(null)}>Without a mark</Button>}
            </Flex>
            {take.isError && <Says kind="bad">{saysWhy(take.error)}</Says>}
        </section>
    );
}

const room = (bytes: number): string =>
    bytes < 1e9 ? `${Math.ceil(bytes / 1e6)} MB` : `${(bytes / 1e9).toFixed(1)} GB`;

function StudioForm({ studio }: { studio: Studio }) {
    const queries = useQueryClient();
    const notices = useNotices();
    const { pictures, failed, ...facts } = studio;
    const given = failed.drawings + failed.photographs + failed.imports;
    const [form, setForm] = useState(facts);
    const keep = useMutation({
        mutationFn: () => setStudio(form),
        onSuccess: async () => {
            await queries.invalidateQueries();
            notices.done('Kept.');
        },
    });
    return (
        <Form layout="vertical" className="card pad stack settings-form wide" onFinish={() => keep.mutate()}>
            <Field label="What the studio is called" help="It stands at the door.">
                <Input value={form.name} onChange={(e) => setForm({ ...form, name: e.target.value })} />
            </Field>
            <Field
                label="Currency"
                help="Of the rate and the next version of the standard; a pack’s numbers are taken as they are."
            >
                <Pick
                    value={form.currency}
                    onChange={(currency) => setForm({ ...form, currency })}
                    options={Intl.supportedValuesOf('currency').map((c) => ({ value: c, label: named(c) }))}
                />
            </Field>
            <Field label="Address that links begin with" help="Empty: where this page is.">
                <Input
                    value={form.address ?? ''}
                    placeholder={window.location.origin}
                    onChange={(e) => setForm({ ...form, address: e.target.value || null })}
                />
            </Field>
            {LOOPBACK.test(form.address ?? window.location.origin) && (
                <Says kind="warn">
                    Links begin with {form.address ?? window.location.origin}, which reaches nobody but this
                    machine. Give the address that others reach it by.
                </Says>
            )}
            <Field label="Under the name on papers" help="Where you are, how you are reached, a tax number.">
                <Input.TextArea
                    autoSize={{ minRows: 2 }}
                    value={form.paper_head ?? ''}
                    onChange={(e) => setForm({ ...form, paper_head: e.target.value || null })}
                />
            </Field>
            <Mark sha={form.mark} set={(mark) => setForm({ ...form, mark })} />
            <Money form={form} set={(patch) => setForm({ ...form, ...patch })} />
            <Field label="Quotes" help="Whether an order goes out as a quote before it is accepted.">
                <Pick
                    value={form.quotes}
                    onChange={(quotes) => setForm({ ...form, quotes })}
                    options={valuesOf('quotes').map((q) => ({ value: q, label: word('quotes', q) }))}
                />
            </Field>
            <Checkbox
                checked={form.wants_received}
                onChange={(e) => setForm({ ...form, wants_received: e.target.checked })}
            >
                Models are received before they go to the bench
            </Checkbox>
            <Field
                label="Days for claims"
                help="So long after delivery a paid order stays open before it is closed by itself."
            >
                <InputNumber
                    min={0}
                    max={365}
                    precision={0}
                    value={form.claim_days}
                    onChange={(days) => setForm({ ...form, claim_days: days ?? 0 })}
                />
            </Field>
            <Field label="Time zone" help="When a day is over, and the hour on a certificate.">
                <Pick
                    value={form.time_zone}
                    onChange={(time_zone) => setForm({ ...form, time_zone })}
                    options={['UTC', ...Intl.supportedValuesOf('timeZone')].map((z) => ({
                        value: z,
                        label: z.replaceAll('_', ' '),
                    }))}
                />
            </Field>
            <Field
                label="Wants a second factor of"
                help="Beside the password, a code of a device. Who has none sets one up before anything else."
            >
                <Checkbox.Group
                    value={form.second_factor_roles}
                    onChange={(second_factor_roles) => setForm({ ...form, second_factor_roles })}
                    options={ROLE_OPTIONS}
                />
            </Field>
            <p className="small soft">
                Pictures take {room(pictures.bytes)} of the {room(pictures.of)} there are for them.
            </p>
            {pictures.is_nearly_full && (
                <Says kind="warn">
                    Room for pictures runs out. Whoever looks after the machine can make more
                    (ORDOTYPE_PICTURES_GB).
                </Says>
            )}
            {given > 0 && (
                <Says kind="warn">
                    Tried three times and given up: {failed.drawings} drawings, {failed.photographs}{' '}
                    photographs to be measured, {failed.imports} imports. Each says so where it stands, and is
                    tried again there; the log of the machine says why.
                </Says>
            )}
            {keep.isError && <Says kind="bad">{saysWhy(keep.error)}</Says>}
            <Button type="primary" htmlType="submit" loading={keep.isPending}>
                Keep
            </Button>
        </Form>
    );
}

const TABLES = ['orders', 'units', 'time', 'paints', 'clients', 'checks'] as const;

/** What is written down here, for a spreadsheet or for another place. */
function TakeAway() {
    return (
        <section className="card pad stack settings-form mt-12" aria-label="Take it with you">
            <h2>Take it with you</h2>
            <Flex gap={8} wrap>
                {TABLES.map((table) => (
                    <Button key={table} href={`/api/v1/exports/${table}`} download>
                        {table.charAt(0).toUpperCase() + table.slice(1)}
                    </Button>
                ))}
                <Button type="primary" href="/api/v1/exports/everything" download>
                    Everything, with pictures
                </Button>
            </Flex>
            <p className="small soft m-0">
                Tables open in a spreadsheet. Everything is one archive of open formats; a backup, which can
                be put back, is made on the machine.
            </p>
        </section>
    );
}
