import { useQuery } from '@tanstack/react-query';
import { Flex } from 'antd';
import { Link, useParams } from 'react-router';
import type { Check } from '../../api/types';
import { checkQuery } from '../../api/work';
import { useKey } from '../../app/keys';
import { Top } from '../../app/Top';
import { Evenness } from './Evenness';
import { Photographs } from './Photographs';
import { stageWords } from '../../ui/marks';
import { Failed, Loading } from '../../ui/states';
import { QuestionCard } from './QuestionCard';
import { SoFar } from './SoFar';
import { Stage } from './Stage';
import { useCheck } from './useCheck';

export default function CheckPage() {
    const { id } = useParams();
    const query = useQuery(checkQuery(Number(id)));
    if (query.isPending) return <Loading what="the check" />;
    if (query.isError) return <Failed error={query.error} again={() => void query.refetch()} />;
    return <Looking check={query.data} />;
}

function Looking({ check }: { check: Check }) {
    const desk = useCheck(check);
    const { question: q } = desk;
    useKey('y', () => desk.give('yes'));
    useKey('f', () => desk.give('fault'));
    useKey('s', () => desk.give('not_seen'));
    useKey('x', () => desk.give('not_applicable'));
    useKey('right', () => desk.move(1));
    useKey('down', () => desk.move(1));
    useKey('left', () => desk.move(-1));
    useKey('up', () => desk.move(-1));
    useKey('escape', desk.leave);
    const view = q?.view === 'back' ? 'back' : 'front';
    return (
        <>
            <Top>
                <Link to="/check" className="soft">
                    Check
                </Link>
                <h1>
                    {check.unit.sculpt}, model {check.piece.number} of {check.unit.pieces.length}
                </h1>
                <span className="pill">
                    {check.unit.tier} v{check.unit.standard_version}
                </span>
                <span className="pill">painted by {check.piece.painters.join(', ') || 'nobody yet'}</span>
                {check.round > 1 && (
                    <span className="pill">round {check.round}: what the repair touched</span>
                )}
                <span className="room" />
                <span className="soft num">
                    {check.answers.length} of {check.questions.length} answered
                </span>
            </Top>
            <div className="check">
                <section className="stack">
                    <Stage
                        check={check}
                        view={view}
                        lit={q && q.areas.length < check.figure.length ? q.areas : null}
                    />
                    <Photographs check={check} view={view} open={desk.open} />
                    <Flex gap={6} wrap align="center" aria-label="Models of the unit">
                        {check.unit.pieces.map((p) => (
                            <span
                                key={p.id}
                                className={`dot ${p.stage} ${p.id === check.piece.id ? 'here' : ''}`}
                                title={stageWords(p.stage)}
                            >
                                {p.number}
                            </span>
                        ))}
                        <Evenness check={check} />
                    </Flex>
                </section>
                <section className="stack">
                    <QuestionCard check={check} desk={desk} />
                    {!check.closed && <SoFar check={check} desk={desk} />}
                </section>
            </div>
        </>
    );
}
