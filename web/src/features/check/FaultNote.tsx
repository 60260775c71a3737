import { useMutation, useQueryClient } from '@tanstack/react-query';
import { Button, Flex, Form, Input } from 'antd';
import { useState } from 'react';
import { saysWhy } from '../../api/client';
import type { components } from '../../api/schema';
import type { Check, FoundFault } from '../../api/types';
import { checkQuery, overruleFault } from '../../api/work';
import { minutes } from '../../ui/marks';
import { Pick } from '../../ui/Pick';
import { Says } from '../../ui/Says';

type Severity = FoundFault['severity'];

const KINDS = { note: 'plain', minor: 'warn', major: 'bad', critical: 'bad' } as const;
const COUNTS: Record<Severity, string> = {
    note: 'a note, does not count',
    minor: 'minor',
    major: 'major',
    critical: 'critical',
};

const areaName = (check: Check, key: string | null) =>
    (check.figure.find((a) => a.key === key)?.name ?? 'whole model').toLowerCase();

const sizeOf = (f: FoundFault): string => (f.size_mm === null ? '' : `, ${f.size_mm} mm`);

/** A fault that was found: whether it counts, why, and what its repair takes. */
export function FaultNote({
    check,
    fault: f,
    number,
    takeAway,
}: {
    check: Check;
    fault: FoundFault;
    number: number;
    takeAway: (() => void) | null;
}) {
    const [overruling, setOverruling] = useState(false);
    return (
        <Says kind={KINDS[f.severity]}>
            <b>
                {number} {f.name}, {areaName(check, f.area)}
                {sizeOf(f)}: {COUNTS[f.severity]}
            </b>
            {f.overruled && (
                <div className="small">
                    {f.overruled.by} says so, against {COUNTS[f.overruled.was]}: {f.overruled.reason}
                </div>
            )}
            <Why check={check} judged={f} />
            <Flex gap={4}>
                {takeAway && (
                    <Button type="link" size="small" onClick={takeAway}>
                        Take this fault away
                    </Button>
                )}
                {check.may.overrule && !overruling && (
                    <Button type="link" size="small" onClick={() => setOverruling(true)}>
                        Count it otherwise …
                    </Button>
                )}
            </Flex>
            {overruling && <Overrule check={check} fault={f} done={() => setOverruling(false)} />}
        </Says>
    );
}

/** What a fault would count if it were noted. */
export function Counts({ check, judged }: { check: Check; judged: components['schemas']['FaultJudged'] }) {
    return (
        <Says kind={KINDS[judged.severity]}>
            <b>{COUNTS[judged.severity]}</b>
            <Why check={check} judged={judged} />
        </Says>
    );
}

function Why({ check, judged: f }: { check: Check; judged: components['schemas']['FaultJudged'] }) {
    const repair = f.repair.map(
        (s) => `${s.technique.toLowerCase()}${s.area ? ` on ${areaName(check, s.area)}` : ''}`,
    );
    return (
        <>
            <div className="small">{f.why}</div>
            {repair.length > 0 && (
                <div className="small soft">
                    Repair, {minutes(f.repair.reduce((m, s) => m + s.minutes, 0))}: {repair.join(', then ')}
                </div>
            )}
        </>
    );
}

/** A lead's word over what was worked out. */
function Overrule({ check, fault, done }: { check: Check; fault: FoundFault; done: () => void }) {
    const queries = useQueryClient();
    const [severity, setSeverity] = useState<Severity>(fault.severity);
    const [reason, setReason] = useState('');
    const keep = useMutation({
        mutationFn: () => overruleFault(check.id, fault.id, { severity, reason }),
        onSuccess: (next) => {
            queries.setQueryData(checkQuery(check.id).queryKey, next);
            done();
        },
    });
    return (
        <Form layout="inline" className="mt-8" onFinish={() => keep.mutate()}>
            <Flex gap={8} wrap align="center">
                <Pick<Severity>
                    aria-label="It counts as"
                    value={severity}
                    onChange={setSeverity}
                    options={(['critical', 'major', 'minor', 'note'] as const).map((s) => ({
                        value: s,
                        label: COUNTS[s],
                    }))}
                />
                <Input
                    autoFocus
                    aria-label="Why it counts so"
                    placeholder="why"
                    value={reason}
                    onChange={(e) => setReason(e.target.value)}
                />
                <Button size="small" htmlType="submit" disabled={!reason.trim()} loading={keep.isPending}>
                    Keep
                </Button>
                <Button size="small" type="text" onClick={done}>
                    Leave it
                </Button>
                {keep.isError && <span role="alert">{saysWhy(keep.error)}</span>}
            </Flex>
        </Form>
    );
}
