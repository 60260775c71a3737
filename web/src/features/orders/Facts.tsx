import { useMutation, useQueryClient } from '@tanstack/react-query';
import { Button, Flex, Image, Upload } from 'antd';
import { Link } from 'react-router';
import { saysWhy } from '../../api/client';
import { colourOrder, takePicture } from '../../api/orders';
import type { Order } from '../../api/types';
import { Field } from '../../ui/Field';
import { Pick } from '../../ui/Pick';
import { Says } from '../../ui/Says';
import { word } from '../standard/words';
import css from './Orders.module.css';

/** What holds for the whole order: the brief, its scheme, the picture the client wants it to look like, its method. */
export function Facts({ order, editable }: { order: Order; editable: boolean }) {
    const queries = useQueryClient();
    const set = useMutation({
        mutationFn: (patch: { scheme?: string | null; reference?: string | null }) =>
            colourOrder(order.id, patch),
        onSuccess: () => queries.invalidateQueries(),
    });
    const take = useMutation({
        mutationFn: async (file: File) => set.mutateAsync({ reference: (await takePicture(file)).sha256 }),
    });
    return (
        <section className="card pad">
            <div className="eyebrow">Brief</div>
            <p className="my-6">{order.brief ?? 'Nothing was written down.'}</p>
            <Flex vertical gap={8} className="my-10">
                <Field label="Scheme">
                    <Pick
                        disabled={!editable || set.isPending}
                        value={order.scheme_slug ?? ''}
                        onChange={(scheme) => set.mutate({ scheme: scheme || null })}
                        options={[
                            { value: '', label: 'none yet' },
                            ...order.schemes.map((s) => ({ value: s.slug, label: s.name })),
                        ]}
                    />
                </Field>
                {order.scheme_slug && (
                    <Link className="small" to={`/schemes/${order.scheme_slug}?order=${order.id}`}>
                        Its colours on these figures
                    </Link>
                )}
                {order.reference && (
                    <Image
                        className={css.reference}
                        src={`/api/v1/pictures/${order.reference}`}
                        alt="The client’s reference picture"
                    />
                )}
                {editable && (
                    <Upload
                        accept="image/png,image/jpeg,image/webp"
                        showUploadList={false}
                        disabled={take.isPending}
                        beforeUpload={(file) => {
                            take.mutate(file);
                            return false;
                        }}
                    >
                        <Button loading={take.isPending}>
                            {order.reference ? 'Another reference picture' : 'The client’s reference picture'}
                        </Button>
                    </Upload>
                )}
                {(set.isError || take.isError) && <Says kind="bad">{saysWhy(set.error ?? take.error)}</Says>}
            </Flex>
            {order.method && <p className="small soft m-0">Method: {schools(order.method)}</p>}
        </section>
    );
}

const schools = (method: NonNullable<Order['method']>): string =>
    Object.entries(method)
        .filter(([k]) => k !== 'format')
        .map(
            ([k, v]) =>
                `${word('school', k)}: ${typeof v === 'string' ? word('answer', `${k}:${v}`) : 'by area'}`,
        )
        .join(', ');
