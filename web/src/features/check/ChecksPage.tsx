import { useInfiniteQuery } from '@tanstack/react-query';
import { Button, Flex } from 'antd';
import { useState } from 'react';
import { Link, useLocation } from 'react-router';
import { checksQuery, signOffsQuery } from '../../api/work';
import { can, usePerson } from '../../app/session';
import { Top } from '../../app/Top';
import { LinkButton } from '../../ui/LinkButton';
import { FindAmongMany, Listed } from '../../ui/Listed';
import { Empty } from '../../ui/states';
import { useSettled } from '../../ui/useSettled';
import { day } from '../../ui/when';
import css from './Check.module.css';
import { UnitToCheck } from './UnitToCheck';

export default function ChecksPage() {
    const person = usePerson();
    const [find, setFind] = useState('');
    const wanted = useSettled(find, 200);
    const query = useInfiniteQuery(checksQuery(wanted));
    const from = useLocation().state as { unit?: number } | null;
    return (
        <>
            <Top>
                <h1>Check</h1>
                <span className="soft">what waits to be looked at and signed</span>
                <span className="room" />
                {can(person, 'check.answer') && <LinkButton to="/check/drill">Train the eye</LinkButton>}
            </Top>
            <div className={`page ${css.list}`}>
                <Flex vertical gap={14}>
                    <Listed
                        what="what waits"
                        query={query}
                        narrowed={wanted !== ''}
                        tools={
                            <FindAmongMany
                                label="Order, figure or code"
                                query={query}
                                value={find}
                                onChange={setFind}
                            />
                        }
                        empty={
                            <Empty title="Nothing waits for a check">
                                <p>Painters offer finished models from the bench. Then they are here.</p>
                            </Empty>
                        }
                    >
                        {(units) =>
                            units.map((u) => <UnitToCheck key={u.id} unit={u} isHere={u.id === from?.unit} />)
                        }
                    </Listed>
                </Flex>
                <SignedOff />
            </div>
        </>
    );
}

function SignedOff() {
    const signed = useInfiniteQuery(signOffsQuery());
    const records = signed.data?.pages.flatMap((p) => p.data);
    return (
        <section className="card pad">
            <div className="eyebrow">Signed off</div>
            {records?.length === 0 && <p className="soft small">Nothing yet.</p>}
            {records?.map((s) => (
                <p className="mt-8" key={s.number}>
                    <Link to={`/certificates/${s.number}`} className="strong">
                        No. {s.number}
                        {s.kind === 'withdrawal' ? ', withdrawal' : ''}
                    </Link>
                    <br />
                    <span className="small soft">
                        {day(s.signed_at)}, {s.by}, {s.pieces.length}{' '}
                        {s.pieces.length === 1 ? 'model' : 'models'}
                    </span>
                </p>
            ))}
            {signed.hasNextPage && (
                <Button
                    type="link"
                    loading={signed.isFetchingNextPage}
                    onClick={() => void signed.fetchNextPage()}
                >
                    Show more
                </Button>
            )}
        </section>
    );
}
