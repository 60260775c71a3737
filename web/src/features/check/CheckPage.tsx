import { useQuery } from '@tanstack/react-query';
import { Button, Flex } from 'antd';
import { useState } from 'react';
import { Link, useParams } from 'react-router';
import type { Check } from '../../api/types';
import { checkQuery } from '../../api/work';
import { keyShown, useKey, useLetters } from '../../app/keys';
import { Top } from '../../app/Top';
import { stageWords } from '../../ui/marks';
import { Failed, Loading } from '../../ui/states';
import css from './Check.module.css';
import { letterOf, LookRail } from './LookRail';
import { LookCard } from './LookCard';
import { Photographs } from './Photographs';
import { SoFar } from './SoFar';
import { Stage } from './Stage';
import { useCheck, type CheckDesk } from './useCheck';

export default function CheckPage() {
    const { id } = useParams();
    const query = useQuery(checkQuery(Number(id)));
    if (query.isPending) return <Loading what="the check" />;
    if (query.isError) return <Failed error={query.error} again={() => void query.refetch()} />;
    return <Looking key={query.data.id} check={query.data} />;
}

function Looking({ check }: { check: Check }) {
    const desk = useCheck(check);
    const [touched, setTouched] = useState<string | null>(null);
    const [turned, setTurned] = useState<'front' | 'back' | null>(null);
    const side = turned ?? (desk.look?.view === 'back' ? 'back' : 'front');
    const chosen = desk.lines.filter((q) => desk.line === null || q.key === desk.line);
    const areas = [...new Set(chosen.flatMap((q) => q.areas))];
    const lit = areas.length < check.figure.length ? areas : [];
    const next = nextAction(check, desk);
    const letters = useCheckKeys(check, desk, next.act);
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
                <span className="pill" title="Who painted it">
                    by {check.piece.painters.join(', ') || 'nobody yet'}
                </span>
                {check.round > 1 && (
                    <span className="pill" title="What the repair touched, and the final look">
                        round {check.round}
                    </span>
                )}
                <span className="room" />
                <Flex gap={4} aria-label="Models of the unit">
                    {check.unit.pieces.map((p) => (
                        <span
                            key={p.id}
                            className={`dot ${p.stage} ${p.id === check.piece.id ? 'here' : ''}`}
                            title={stageWords(p.stage)}
                        >
                            {p.number}
                        </span>
                    ))}
                </Flex>
                {!check.closed && (
                    <Button type="primary" disabled={next.act === null} onClick={() => next.act?.()}>
                        {next.text} <kbd>{keyShown('nextLook')}</kbd>
                    </Button>
                )}
            </Top>
            <LookRail check={check} desk={desk} letters={letters} />
            <div className="check">
                <section className="stack">
                    <Stage
                        check={check}
                        side={side}
                        setSide={setTurned}
                        pressed={desk.finding === true ? null : desk.finding}
                        lit={touched !== null ? [touched] : lit}
                        press={check.may.answer ? desk.press : null}
                        hover={setTouched}
                    />
                    <Photographs check={check} view={side} open={desk.openLine} />
                </section>
                <section className={css.column}>
                    <LookCard check={check} desk={desk} touched={touched} />
                    {!check.closed && desk.finding === null && <SoFar check={check} desk={desk} />}
                </section>
            </div>
        </>
    );
}

interface Next {
    text: string;
    act: (() => void) | null;
}

/** What is right to do now: the next look, passing it, or sending it back. */
function nextAction(check: Check, desk: CheckDesk): Next {
    const open = check.looks.findIndex((l, i) => i !== desk.at && desk.isOpen(l.key) && i > desk.at);
    const any = open >= 0 ? open : check.looks.findIndex((l, i) => i !== desk.at && desk.isOpen(l.key));
    const look = check.looks[any];
    if (look) return { text: `Next look: ${look.name.toLowerCase()}`, act: () => desk.to(any) };
    const may = check.may.answer && !desk.close.isPending;
    const more = check.unit.pieces.some((p) => p.stage === 'offered' && p.id !== check.piece.id);
    if (check.verdict_so_far.passes)
        return {
            text: more ? 'Pass, next model' : 'Pass',
            act: may ? () => desk.close.mutate({ verdict: 'passed' }) : null,
        };
    const counts = check.faults.some((f) => f.severity !== 'note');
    if (counts && check.verdict_so_far.open.length === 0)
        return { text: 'Send back', act: may ? () => desk.close.mutate({ verdict: 'rework' }) : null };
    return { text: 'Answer this look', act: null };
}

/** The keys of a check; true while a letter is awaited that goes to a look. */
function useCheckKeys(check: Check, desk: CheckDesk, next: (() => void) | null): boolean {
    const [going, setGoing] = useState(false);
    const at = (place: number) => desk.lines[place]?.key ?? null;
    useKey('fine', () => !going && desk.give('yes'));
    useKey('fault', () => !going && desk.give('fault'));
    useKey('notSeen', () => !going && desk.give('not_seen'));
    useKey('notApplicable', () => !going && desk.give('not_applicable'));
    useKey('lookAfter', () => desk.to(desk.at + 1));
    useKey('lookBefore', () => desk.to(desk.at - 1));
    useKey('nextLook', () => next?.());
    useKey('wholeLook', () => {
        setGoing(false);
        desk.leave();
    });
    useKey('oneLine', (e) => desk.setLine(at(Number(e.key) - 1)));
    useKey('toLook', () => setGoing(!going));
    useLetters(
        check.looks.map((_, place) => letterOf(place)),
        (e) => {
            setGoing(false);
            desk.to(check.looks.findIndex((_, i) => letterOf(i) === e.key));
        },
        going,
    );
    return going;
}
