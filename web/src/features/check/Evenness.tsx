import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { Button, Drawer, Flex, Popover } from 'antd';
import { useState } from 'react';
import { saysWhy } from '../../api/client';
import { chooseTestModel, evennessQuery, type Evenness as Even } from '../../api/photographs';
import type { Check } from '../../api/types';
import { can, usePerson } from '../../app/session';
import { Says } from '../../ui/Says';
import { Failed, Loading } from '../../ui/states';

/** How many areas of a model are named, the worst first. */
const MOST = 3;

/** The models of a unit against its test model, or against their own middle, from their photographs. */
export function Evenness({ check }: { check: Check }) {
    const [open, setOpen] = useState(false);
    return (
        <>
            <Button size="small" onClick={() => setOpen(true)}>
                Compare the models
            </Button>
            <Drawer
                open={open}
                title="How even the unit is"
                size={460}
                onClose={() => setOpen(false)}
                destroyOnHidden
            >
                <Models check={check} />
            </Drawer>
        </>
    );
}

function Models({ check }: { check: Check }) {
    const queries = useQueryClient();
    const query = useQuery(evennessQuery(check.unit.id));
    const may = can(usePerson(), 'check.answer');
    const choose = useMutation({
        mutationFn: (model: number | null) => chooseTestModel(check.unit.id, model),
        onSuccess: async (next) => {
            queries.setQueryData(evennessQuery(check.unit.id).queryKey, next);
            await queries.invalidateQueries({ queryKey: ['photographs'] });
        },
    });
    if (query.isPending) return <Loading what="the models" />;
    if (query.isError) return <Failed error={query.error} again={() => void query.refetch()} />;
    const { models, test_model: test } = query.data;
    const seen = models.filter((m) => m.off !== null).length;
    return (
        <Flex vertical gap={12}>
            <p className="m-0 soft">
                {test === null
                    ? 'Each model is compared with the middle of the unit. Name a test model, and the others are ' +
                      'compared with that.'
                    : `Each model is compared with model ${test}, the test model.`}
            </p>
            {seen < 2 && (
                <Says kind="plain">
                    Two models and more have to be photographed with a grey card before anything can be
                    compared.
                </Says>
            )}
            {choose.isError && <Says kind="bad">{saysWhy(choose.error)}</Says>}
            {models.map((m) => (
                <section key={m.number} className="card pad">
                    <Flex gap={8} align="center" justify="space-between">
                        <h3 className="m-0">
                            Model {m.number}
                            {m.number === test ? ', test model' : ''}
                        </h3>
                        {may && (
                            <Button
                                size="small"
                                disabled={choose.isPending}
                                onClick={() => choose.mutate(m.number === test ? null : m.number)}
                            >
                                {m.number === test ? 'No longer' : 'Make it the test model'}
                            </Button>
                        )}
                    </Flex>
                    <Off model={m} isTest={m.number === test} />
                </section>
            ))}
        </Flex>
    );
}

function Off({ model: m, isTest }: { model: Even['models'][number]; isTest: boolean }) {
    if (isTest) return <p className="small soft m-0">The others are compared with it.</p>;
    if (m.off === null) return <p className="small soft m-0">Not photographed with a grey card.</p>;
    const differ = m.off.filter((a) => !a.is_same);
    if (m.off.length === 0 || differ.length === 0)
        return <p className="small soft m-0">Nobody sees a difference side by side.</p>;
    return (
        <ul className="small m-0">
            {differ.slice(0, MOST).map((a) => (
                <li key={`${a.area} ${a.view}`}>
                    <span className="strong">{a.name}</span>, {a.view}:{' '}
                    {a.is_met ? 'differs, within what the tier allows' : 'differs more than the tier allows'}{' '}
                    <Popover
                        trigger="click"
                        content={`ΔE ${a.delta_e.toFixed(1)}${a.limit === null ? '' : `, at most ${a.limit}`}`}
                    >
                        <Button size="small" type="text">
                            details
                        </Button>
                    </Popover>
                </li>
            ))}
            {differ.length > MOST && <li className="soft">{differ.length - MOST} more areas differ less</li>}
        </ul>
    );
}
