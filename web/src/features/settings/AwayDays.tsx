import { Button, Flex } from 'antd';
import dayjs from 'dayjs';
import { useState } from 'react';
import type { Colleague } from '../../api/people';
import { Day } from '../../ui/Day';
import { Field } from '../../ui/Field';
import { day } from '../../ui/when';

type Away = Colleague['away'];

/** Days on which somebody is not there; what is over is no longer shown, and kept. */
export function AwayDays({ away, set }: { away: Away; set: (away: Away) => void }) {
    const [from, setFrom] = useState<string | null>(null);
    const [to, setTo] = useState<string | null>(null);
    const today = dayjs().format('YYYY-MM-DD');
    const add = () => {
        if (from === null) return;
        set([...away, { from, to: to ?? from }].sort((a, b) => a.from.localeCompare(b.from)));
        setFrom(null);
        setTo(null);
    };
    const picked = (on: string | null) => (on === null ? null : dayjs(on));
    return (
        <div className="stack">
            <div>Away: no batch counts on them then</div>
            {away
                .filter((a) => a.to >= today)
                .map((a) => (
                    <Flex key={`${a.from} ${a.to}`} justify="space-between" align="center">
                        <span>
                            {day(a.from)}
                            {a.to === a.from ? '' : ` to ${day(a.to)}`}
                        </span>
                        <Button size="small" type="text" onClick={() => set(away.filter((b) => b !== a))}>
                            There after all
                        </Button>
                    </Flex>
                ))}
            <Flex gap={8} align="end" wrap>
                <Field label="Away from">
                    <Day value={picked(from)} onChange={(on) => setFrom(on?.format('YYYY-MM-DD') ?? null)} />
                </Field>
                <Field label="To, with that day">
                    <Day value={picked(to)} onChange={(on) => setTo(on?.format('YYYY-MM-DD') ?? null)} />
                </Field>
                <Button onClick={add} disabled={from === null || (to !== null && to < from)}>
                    Add
                </Button>
            </Flex>
        </div>
    );
}
