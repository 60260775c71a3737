import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { Button, Flex } from 'antd';
import { useState } from 'react';
import { saysWhy } from '../../api/client';
import { peopleQuery } from '../../api/people';
import type { UnitBrief } from '../../api/types';
import { batchQuery, takeOver } from '../../api/work';
import { Field } from '../../ui/Field';
import { Pick } from '../../ui/Pick';
import { Says } from '../../ui/Says';

/** How far a unit was when it came over from elsewhere: what is done counts, and teaches no minutes. */
export function TakeOver({ unit, done }: { unit: UnitBrief; done: () => void }) {
    const queries = useQueryClient();
    const people = useQuery(peopleQuery());
    const batch = useQuery(batchQuery(unit.id));
    const [passes, setPasses] = useState(0);
    const [painter, setPainter] = useState(0);
    const take = useMutation({
        mutationFn: () => takeOver(unit.id, { revision: unit.revision, passes, painter }),
        onSuccess: async () => {
            await queries.invalidateQueries();
            done();
        },
    });
    const of = batch.data?.passes ?? [];
    return (
        <>
            <Field label="It came over half done: done are all passes up to">
                <Pick
                    value={passes}
                    onChange={setPasses}
                    options={[
                        { value: 0, label: 'nothing' },
                        ...of.map((p, i) => ({
                            value: i + 1,
                            label: `${i + 1} of ${of.length}: ${p.technique}${p.paint ? `, ${p.paint}` : ''}`,
                        })),
                    ]}
                />
            </Field>
            {passes > 0 && (
                <Field label="Painted by">
                    <Pick
                        value={painter}
                        onChange={setPainter}
                        options={[
                            { value: 0, label: 'choose who' },
                            ...(people.data?.data ?? []).map((p) => ({ value: p.id, label: p.name })),
                        ]}
                    />
                </Field>
            )}
            {take.isError && <Says kind="bad">{saysWhy(take.error)}</Says>}
            {passes > 0 && (
                <Flex>
                    <Button disabled={painter === 0} loading={take.isPending} onClick={() => take.mutate()}>
                        That is done already
                    </Button>
                </Flex>
            )}
        </>
    );
}
