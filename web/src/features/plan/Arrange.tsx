import { Button, Flex, Modal } from 'antd';
import { useState } from 'react';
import type { UnitPlan } from '../../api/types';
import { can, usePerson } from '../../app/session';
import { Amend } from './Amend';
import type { Bend } from './bend';
import { Copy } from './Copy';
import { Made } from './Made';
import { Raise } from './Raise';
import { Schools } from './Schools';
import { SpareMinutes } from './SpareMinutes';
import { Tiers } from './Tiers';

/**
 * What can be arranged before a unit goes to the bench: tier, method, amendments, spare minutes; each says
 * what it does first.
 */
export function Arrange({ data, bend }: { data: UnitPlan; bend: Bend }) {
    const { put, edits: edit } = bend;
    const [open, setOpen] = useState<'tier' | 'method' | 'amend' | 'spare' | 'copy' | null>(null);
    const person = usePerson();
    if (!data.editable) {
        return (
            <>
                {data.amendments.length > 0 && (
                    <section className="card pad">
                        <div className="eyebrow">Amendments</div>
                        <Made data={data} />
                    </section>
                )}
                {data.unit.released && can(person, 'plan.edit') && (
                    <section className="card pad">
                        <div className="eyebrow">Finished work, raised</div>
                        <p className="small soft mt-4 mx-0 mb-8">
                            What is painted counts; only the rest is added.
                        </p>
                        <Button onClick={() => setOpen('tier')}>Raise to a higher tier</Button>
                        <Modal
                            open={open === 'tier'}
                            title="Raise finished work"
                            footer={null}
                            width={760}
                            onCancel={() => setOpen(null)}
                            destroyOnHidden
                        >
                            <Raise
                                data={data}
                                done={(next) => {
                                    put(next);
                                    setOpen(null);
                                }}
                            />
                        </Modal>
                    </section>
                )}
            </>
        );
    }
    return (
        <section className="card pad">
            <div className="eyebrow">Arrange</div>
            <Flex gap={6} wrap className="mt-6">
                <Button onClick={() => setOpen('tier')}>Tier</Button>
                <Button onClick={() => setOpen('method')}>Method</Button>
                <Button onClick={() => setOpen('amend')}>Amend</Button>
                <Button onClick={() => setOpen('spare')}>Spare minutes</Button>
                <Button onClick={() => setOpen('copy')}>Copy changes</Button>
            </Flex>
            <Made data={data} put={put} />
            <Modal
                open={open === 'tier'}
                title="Move to another tier"
                footer={null}
                width={680}
                onCancel={() => setOpen(null)}
                destroyOnHidden
            >
                <Tiers data={data} close={() => setOpen(null)} />
            </Modal>
            <Modal
                open={open === 'method'}
                title="Method of the order"
                footer={null}
                width={720}
                onCancel={() => setOpen(null)}
                destroyOnHidden
            >
                <Schools data={data} put={put} />
            </Modal>
            <Modal
                open={open === 'amend'}
                title="Amend"
                footer={null}
                width={560}
                onCancel={() => setOpen(null)}
                destroyOnHidden
            >
                <Amend
                    data={data}
                    put={(next) => {
                        put(next);
                        setOpen(null);
                    }}
                />
            </Modal>
            <Modal
                open={open === 'copy'}
                title="Copy what was changed by hand"
                footer={null}
                width={520}
                onCancel={() => setOpen(null)}
                destroyOnHidden
            >
                <Copy data={data} close={() => setOpen(null)} />
            </Modal>
            <Modal
                open={open === 'spare'}
                title="Spare minutes"
                footer={null}
                width={620}
                onCancel={() => setOpen(null)}
                destroyOnHidden
            >
                <SpareMinutes
                    data={data}
                    edit={(edits) => {
                        edit(edits);
                        setOpen(null);
                    }}
                />
            </Modal>
        </section>
    );
}
