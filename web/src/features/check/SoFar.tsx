import { Button, Flex } from 'antd';
import type { Check } from '../../api/types';
import css from './Check.module.css';
import { Reason } from './Reason';
import type { CheckDesk } from './useCheck';

/** The verdict as it would be now, and the ways to end the check. */
export function SoFar({ check, desk }: { check: Check; desk: CheckDesk }) {
    const so = check.verdict_so_far;
    const counting = check.faults.filter((f) => f.severity !== 'note').length;
    const stands = so.passes ? css.passes : counting > 0 ? css.fails : '';
    const mayConcede =
        check.may.accept && counting > 0 && so.open.length === 0 && (so.counted['critical'] ?? 0) === 0;
    return (
        <div className={`card pad stack ${css.far} ${stands}`}>
            <div>
                <div className="eyebrow">So far</div>
                <h2>{so.words}</h2>
            </div>
            {desk.why === 'accepted' && (
                <Reason
                    label="Why is it accepted as it is?"
                    give={(reason) => desk.close.mutate({ verdict: 'accepted', reason })}
                    leave={desk.leave}
                />
            )}
            <Flex gap={8} justify="flex-end" wrap>
                {mayConcede && (
                    <Button type="link" onClick={() => desk.setWhy('accepted')}>
                        Accept as it is …
                    </Button>
                )}
                <Button
                    disabled={!check.may.answer || counting === 0 || desk.close.isPending}
                    onClick={() => desk.close.mutate({ verdict: 'rework' })}
                >
                    Send back
                </Button>
                <Button
                    type="primary"
                    disabled={!check.may.answer || !so.passes || desk.close.isPending}
                    onClick={() => desk.close.mutate({ verdict: 'passed' })}
                >
                    Pass
                </Button>
            </Flex>
        </div>
    );
}
