import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { Button, Drawer, Flex } from 'antd';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { saysWhy } from '../../api/client';
import type { CertificateRecord, CheckUnit } from '../../api/types';
import { previewQuery, signPieces } from '../../api/work';
import { can, usePerson } from '../../app/session';
import { Field } from '../../ui/Field';
import { Pick } from '../../ui/Pick';
import { Says } from '../../ui/Says';
import { Loading } from '../../ui/states';
import { Signed } from '../certificate/Signed';
import css from './Check.module.css';
import { LateVariants } from './LateVariants';

/** All the record will say first; then it is signed, once. */
export function Sign({ unit: u, pieces }: { unit: CheckUnit; pieces: number[] }) {
    const [asking, setAsking] = useState(false);
    return (
        <>
            <Button type="primary" onClick={() => setAsking(true)}>
                Sign off {pieces.length} passed
            </Button>
            <Drawer
                open={asking}
                title={`Sign off ${pieces.length} ${pieces.length === 1 ? 'model' : 'models'} of ${u.sculpt}?`}
                size={560}
                onClose={() => setAsking(false)}
                destroyOnHidden
            >
                <SignThis unit={u} pieces={pieces} leave={() => setAsking(false)} />
            </Drawer>
        </>
    );
}

type Whole = 'one_army' | 'clones' | 'monotonous';

function SignThis({ unit, pieces, leave }: { unit: CheckUnit; pieces: number[]; leave: () => void }) {
    const person = usePerson();
    const queries = useQueryClient();
    const go = useNavigate();
    const [whole, setWhole] = useState<Whole>('one_army');
    const query = useQuery(previewQuery(pieces));
    const sign = useMutation({
        mutationFn: signPieces,
        onSuccess: async (c) => {
            await queries.invalidateQueries();
            await go(`/certificates/${c.number}`);
        },
    });
    if (query.isPending) return <Loading what="what the record will say" />;
    if (query.isError) return <Says kind="bad">{saysWhy(query.error)}</Says>;
    const asks = query.data.asks_whole;
    return (
        <Flex vertical gap={14}>
            <p className="soft m-0">
                This is what the record will say. Nobody can change it later; it can only be withdrawn.
            </p>
            {asks && (
                <Field label="The models side by side">
                    <Pick<Whole>
                        value={whole}
                        onChange={setWhole}
                        options={[
                            { value: 'one_army', label: 'one army, each a little its own' },
                            { value: 'clones', label: 'one army, but like clones' },
                            { value: 'monotonous', label: 'one army, but monotonous' },
                        ]}
                    />
                </Field>
            )}
            {asks && whole !== 'one_army' && can(person, 'plan.edit') && (
                <LateVariants
                    unit={unit.id}
                    models={unit.pieces.filter((p) => pieces.includes(p.id))}
                    done={leave}
                />
            )}
            <article className="card pad">
                <Signed data={{ record: query.data.record as CertificateRecord, words: query.data.words }} />
            </article>
            {sign.isError && <Says kind="bad">{saysWhy(sign.error)}</Says>}
            <Flex gap={8} justify="flex-end" className={css.actions}>
                <Button onClick={leave}>Not yet</Button>
                <Button
                    type="primary"
                    loading={sign.isPending}
                    onClick={() => sign.mutate({ pieces, ...(asks && { whole }) })}
                >
                    Sign off
                </Button>
            </Flex>
        </Flex>
    );
}
