import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { Button } from 'antd';
import { saysWhy } from '../../api/client';
import type { UnitPlan } from '../../api/types';
import { moveToTier, tiersQuery } from '../../api/units';
import { useNotices } from '../../app/notices';
import { minutes, TierMark } from '../../ui/marks';
import { Says } from '../../ui/Says';
import { Loading } from '../../ui/states';
import { change } from './names';
import { moneyRange } from '../../ui/money';
import { changesOf } from './bend';

/** Every tier the unit could be moved to, with what that would make of it. */
export function Tiers({ data, close }: { data: UnitPlan; close: () => void }) {
    const queries = useQueryClient();
    const notices = useNotices();
    const query = useQuery(tiersQuery(data.unit.id, data.unit.revision));
    const move = useMutation({
        mutationKey: changesOf(data.unit.id),
        mutationFn: (tier: string) => moveToTier(data.unit.id, tier, data.unit.revision),
        onSuccess: async (moved) => {
            await queries.invalidateQueries();
            close();
            notices.told(
                moved.edits_gone.length === 0
                    ? 'Moved. What was changed by hand is kept.'
                    : `Moved. What was changed by hand on ${moved.edits_gone.join(', ')}` +
                          ` does not go with this tier and is gone.`,
            );
        },
        onError: notices.failed,
    });
    if (query.isPending) return <Loading what="every tier" />;
    if (query.isError) return <Says kind="bad">{saysWhy(query.error)}</Says>;
    const now = query.data.data.find((t) => t.key === data.unit.tier.key)?.minutes ?? 0;
    return (
        <div className="tier-moves">
            {query.data.data.map((t) => (
                <div key={t.key} className="tier-move">
                    <TierMark order={t.order} status={t.status as 'offered'} />
                    <div>
                        <b>{t.name}</b>{' '}
                        <span className="num">
                            {t.minutes === null
                                ? 'quoted by hand: agree it with the client in an order of its own'
                                : `${minutes(t.minutes)} a ` +
                                  `model${t.key === data.unit.tier.key ? ', as it is' : `, ${change(now, t.minutes)}`}`}
                            {t.price ? ` · ${moneyRange(t.price, query.data.currency)} each` : ''}
                        </span>
                        {t.below_cost && <Says kind="warn">At this tier it is sold below its cost.</Says>}
                        {t.gains.length > 0 && (
                            <div className="small">
                                + {t.gains.slice(0, 5).join(' ')}
                                {t.gains.length > 5 ? ` and ${t.gains.length - 5} more` : ''}
                            </div>
                        )}
                        {t.losses.length > 0 && (
                            <div className="small soft">
                                − {t.losses.slice(0, 5).join(' ')}
                                {t.losses.length > 5 ? ` and ${t.losses.length - 5} more` : ''}
                            </div>
                        )}
                        {t.conflicts > 0 && (
                            <Says kind="bad">
                                {t.conflicts} {t.conflicts === 1 ? 'area' : 'areas'} cannot be planned there
                                without an amendment.
                            </Says>
                        )}
                        {t.amendments_unfit && (
                            <Says kind="warn">
                                An amendment of this unit names what this tier does not ask: take it back
                                first.
                            </Says>
                        )}
                    </div>
                    {t.key !== data.unit.tier.key && t.minutes !== null && (
                        <Button
                            disabled={move.isPending || t.amendments_unfit}
                            onClick={() => move.mutate(t.key)}
                        >
                            Move
                        </Button>
                    )}
                </div>
            ))}
        </div>
    );
}
