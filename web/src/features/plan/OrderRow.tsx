import { ArrowDownOutlined, ArrowUpOutlined } from '@ant-design/icons';
import { useSortable } from '@dnd-kit/sortable';
import { CSS } from '@dnd-kit/utilities';
import { Button } from 'antd';
import type { BrokenRule, Move, PlanStep, UnitPlan } from '../../api/types';
import { minutes, Swatch } from '../../ui/marks';
import { Says } from '../../ui/Says';
import { follows } from './follows';
import { areaName, colourWords, fewMinutes, longName } from './names';

/** How many of the steps before it are named; what else holds it stands in the panel of the step. */
const NAMED = 2;

/** One step in the order of work: dragged by its whole row, or moved by its two buttons. */
export function OrderRow({
    data,
    step,
    free,
    busy,
    last,
    look,
    lit,
    pick,
    move,
}: {
    data: UnitPlan;
    step: PlanStep;
    free: boolean;
    busy: boolean;
    last: boolean;
    look: Move | null;
    lit: () => void;
    pick: () => void;
    move: (by: -1 | 1) => void;
}) {
    const { attributes, listeners, setNodeRef, transform, transition, isDragging } = useSortable({
        id: step.key,
        disabled: !free,
    });
    // It stays an item of its list for those who hear the page.
    const { role: _, ...spoken } = attributes;
    const name = `${longName(data, step.technique)} on ${areaName(data, step.area)}`;
    return (
        <li
            ref={setNodeRef}
            className={isDragging ? 'dragged' : ''}
            style={{ transform: CSS.Translate.toString(transform), transition }}
            onMouseEnter={lit}
            {...(free ? { ...listeners, ...spoken } : {})}
            aria-label={`${step.no}: ${name}`}
        >
            {look && (
                <Says kind={look.broken.length > 0 ? 'bad' : 'good'} className="small">
                    {look.broken.length > 0
                        ? breaks(look.broken)
                        : `It may stand here: ${minutes(look.waiting_then ?? 0)}` +
                          ` waiting for paint, ${minutes(look.waiting)} as it is.`}
                </Says>
            )}
            <span className="no num">{step.no}</span>
            <Swatch hex={step.colour?.hex ?? null} name={colourWords(step)} />
            <span className="what">
                <Button type="link" className="plain-name" onClick={pick}>
                    <b>
                        {longName(data, step.technique)}
                        {step.pass > 1 ? `, pass ${step.pass}` : ''}
                    </b>
                </Button>{' '}
                <span className="soft">
                    on {areaName(data, step.area).toLowerCase()}
                    {colourWords(step) ? `, ${colourWords(step) ?? ''}` : ''}
                </span>
                <span className="small soft line">
                    {follows(data, step, NAMED).join('; ') || 'first of all'}
                </span>
            </span>
            <span className="num soft small">
                {fewMinutes(step.minutes)} min{step.dry >= 15 ? `, dries ${step.dry}` : ''}
            </span>
            {free && (
                <span className="moves">
                    <Button
                        type="text"
                        size="small"
                        icon={<ArrowUpOutlined />}
                        aria-label={`Earlier: ${name}`}
                        disabled={step.no === 1 || busy}
                        onClick={() => move(-1)}
                    />
                    <Button
                        type="text"
                        size="small"
                        icon={<ArrowDownOutlined />}
                        aria-label={`Later: ${name}`}
                        disabled={last || busy}
                        onClick={() => move(1)}
                    />
                </span>
            )}
        </li>
    );
}

/** What a place breaks, in one line: each rule once, with the first two steps it would turn round. */
function breaks(broken: BrokenRule[]): string {
    const first = broken.filter((b, i) => broken.findIndex((o) => o.words === b.words) === i);
    const said = first.map(
        (b) => `${b.words} (${b.earlier_name.toLowerCase()} comes before ${b.later_name.toLowerCase()})`,
    );
    const more = broken.length - first.length;
    return `Here it breaks: ${said.join('; ')}${more > 0 ? `, and ${more} more` : ''}.`;
}
