import { useQuery } from '@tanstack/react-query';
import { Button, Flex } from 'antd';
import { useState } from 'react';
import { firstStepsQuery } from '../../api/session';
import { keptAt } from '../../app/kept';
import { can, usePerson } from '../../app/session';
import { LinkButton } from '../../ui/LinkButton';

const away = keptAt<boolean>('first-steps-away');

/** What a new studio does first, until it is done or put away. */
export function FirstSteps() {
    const person = usePerson();
    const [hidden, setHidden] = useState(away.found() === true);
    const query = useQuery({ ...firstStepsQuery, enabled: !hidden && can(person, 'studio.edit') });
    const steps = query.data?.data ?? [];
    const next = steps.find((s) => !s.done);
    if (hidden || !next) return null;
    return (
        <section className="card pad mb-12" aria-label="First steps">
            <Flex justify="space-between" align="center">
                <h2>
                    First steps <span className="soft num">{steps.filter((s) => s.done).length} of 6</span>
                </h2>
                <Button
                    type="link"
                    onClick={() => {
                        away.keep(true);
                        setHidden(true);
                    }}
                >
                    Put them away
                </Button>
            </Flex>
            {steps.map((s) => (
                <Flex key={s.words} gap={12} align="center" className="my-6">
                    <span aria-hidden>{s.done ? '✓' : '○'}</span>
                    <span className="grow">
                        <b className={s.done ? 'soft' : ''}>{s.words}</b>{' '}
                        <span className="small soft">{s.done ? 'done' : `opens up ${s.opens}`}</span>
                    </span>
                    {!s.done && (
                        <LinkButton to={s.to} type={s === next ? 'primary' : 'default'}>
                            {s.act}
                        </LinkButton>
                    )}
                </Flex>
            ))}
        </section>
    );
}
