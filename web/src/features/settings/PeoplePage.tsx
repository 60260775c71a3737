import { useQuery } from '@tanstack/react-query';
import { Button, Table, Tag } from 'antd';
import { useState } from 'react';
import { type Colleague, peopleQuery } from '../../api/people';
import { Top } from '../../app/Top';
import { Failed, Loading } from '../../ui/states';
import { PersonDrawer } from './PersonDrawer';
import { ROLES } from './roles';
import { SettingsTabs } from './SettingsTabs';

/** Everybody who works here, who may sign, and who is set aside. */
export default function PeoplePage() {
    const query = useQuery(peopleQuery());
    const [open, setOpen] = useState<Colleague | 'new' | null>(null);
    return (
        <>
            <Top>
                <h1>People</h1>
                <span className="room" />
                <Button type="primary" onClick={() => setOpen('new')}>
                    Invite somebody
                </Button>
            </Top>
            <SettingsTabs />
            <div className="page">
                {query.isPending ? (
                    <Loading what="the people" />
                ) : query.isError ? (
                    <Failed error={query.error} again={() => void query.refetch()} />
                ) : (
                    <People people={query.data.data} open={setOpen} />
                )}
            </div>
            {open && (
                <PersonDrawer
                    key={open === 'new' ? 'new' : open.id}
                    person={open === 'new' ? null : (query.data?.data.find((p) => p.id === open.id) ?? open)}
                    close={() => setOpen(null)}
                />
            )}
        </>
    );
}

function People({ people, open }: { people: Colleague[]; open: (person: Colleague) => void }) {
    return (
        <Table
            className="card"
            rowKey="id"
            pagination={false}
            dataSource={people}
            columns={[
                {
                    title: 'Name',
                    render: (_, p) => (
                        <>
                            <Button type="link" className="plain-name" onClick={() => open(p)}>
                                <b>{p.name}</b>
                            </Button>
                            <div className="soft small">{p.email}</div>
                        </>
                    ),
                },
                { title: 'Role', render: (_, p) => ROLES[p.role] },
                { title: 'Signs', render: (_, p) => (p.may_sign ? 'may sign' : '') },
                { title: 'Skill', align: 'right', className: 'num', render: (_, p) => `${p.skill} of 5` },
                {
                    title: 'At the bench',
                    align: 'right',
                    className: 'num',
                    render: (_, p) =>
                        p.hours_week === null ? (
                            <span className="soft">not said</span>
                        ) : (
                            `${p.hours_week} h a week`
                        ),
                },
                {
                    title: 'Largest batch',
                    align: 'right',
                    className: 'num',
                    render: (_, p) =>
                        p.largest_batch === null ? (
                            <span className="soft">not said</span>
                        ) : (
                            `${p.largest_batch} models`
                        ),
                },
                {
                    title: '',
                    render: (_, p) =>
                        p.set_aside ? <Tag>set aside</Tag> : p.joined ? '' : <Tag>invited</Tag>,
                },
            ]}
        />
    );
}
