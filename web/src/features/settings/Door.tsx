import { useMutation } from '@tanstack/react-query';
import { Button, Flex, Popconfirm, Typography } from 'antd';
import { saysWhy } from '../../api/client';
import { type Colleague, linkPerson, setPersonAside, takeSecondFactorAway } from '../../api/people';
import { useLinkBase } from '../../app/session';
import { Says } from '../../ui/Says';

/** What lets somebody in, and what keeps them out. */
export function Door({
    person,
    told,
    tell,
    again,
}: {
    person: Colleague;
    told: string | null;
    tell: (link: string) => void;
    again: () => Promise<void>;
}) {
    const base = useLinkBase();
    const relink = useMutation({
        mutationFn: () => linkPerson(person.id),
        onSuccess: ({ link }) => tell(link),
    });
    const aside = useMutation({
        mutationFn: () => setPersonAside(person.id, { revision: person.revision, aside: !person.set_aside }),
        onSettled: again,
    });
    const lost = useMutation({ mutationFn: () => takeSecondFactorAway(person.id), onSettled: again });
    const failed = relink.error ?? aside.error ?? lost.error;
    return (
        <section className="mt-18">
            <div className="eyebrow mb-6">At the door</div>
            {told && (
                <Says kind="good" className="mb-10">
                    {person.name} sets a password by this link, once, within seven days; it is not shown
                    again:{' '}
                    <Typography.Text strong copyable>
                        {base + told}
                    </Typography.Text>
                </Says>
            )}
            {failed && (
                <Says kind="bad" className="mb-10">
                    {saysWhy(failed)}
                </Says>
            )}
            <Flex gap={8} wrap>
                {!person.set_aside && (
                    <Button loading={relink.isPending} onClick={() => relink.mutate()}>
                        {person.joined ? 'Link for a new password' : 'Another link'}
                    </Button>
                )}
                {person.second_factor && (
                    <Popconfirm
                        title="Is it they who ask? Whoever has the password gets in without it."
                        okText="Take it away"
                        onConfirm={() => lost.mutate()}
                    >
                        <Button loading={lost.isPending}>Second factor lost</Button>
                    </Popconfirm>
                )}
                <Button danger={!person.set_aside} loading={aside.isPending} onClick={() => aside.mutate()}>
                    {person.set_aside ? 'Let in again' : 'Set aside'}
                </Button>
            </Flex>
            <p className="small soft mt-6">
                {person.set_aside
                    ? 'Set aside: no sign-in. What was done and signed stays as it is.'
                    : 'Somebody set aside is signed out at once; what they did and signed stays as it is.'}
            </p>
        </section>
    );
}
