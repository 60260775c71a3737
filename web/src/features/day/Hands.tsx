import { Button, Checkbox, InputNumber, TimePicker } from 'antd';
import dayjs from 'dayjs';
import type { BatchHand } from '../../api/batches';
import type { Colleague } from '../../api/people';
import { Field } from '../../ui/Field';
import { Pick } from '../../ui/Pick';
import css from './Day.module.css';

const DAYS = ['Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat', 'Sun'].map((label, i) => ({ value: i + 1, label }));

const FROM = 9;

/** Weekdays from nine on, for as long as their week says; six hours where it says nothing. */
function usual(person: Colleague): BatchHand {
    const hours = Math.min(14, (person.hours_week ?? 30) / 5);
    const to = dayjs()
        .startOf('day')
        .add(FROM, 'hour')
        .add(Math.round(hours * 4) * 15, 'minute');
    return {
        user: person.id,
        from: `0${FROM}:00`,
        to: to.format('HH:mm'),
        days: [1, 2, 3, 4, 5],
        largest: person.largest_batch,
    };
}

/** Who paints, and in which hours. */
export function Hands({
    painters,
    people,
    set,
}: {
    painters: BatchHand[];
    people: Colleague[];
    set: (painters: BatchHand[]) => void;
}) {
    const free = people.filter((p) => !painters.some((h) => h.user === p.id));
    return (
        <div className="stack">
            {painters.map((hand, i) => (
                <Hand
                    key={hand.user}
                    hand={hand}
                    name={people.find((p) => p.id === hand.user)?.name ?? 'somebody'}
                    set={(patch) => set(painters.map((h, j) => (j === i ? { ...h, ...patch } : h)))}
                    drop={() => set(painters.filter((_, j) => j !== i))}
                />
            ))}
            {free.length > 0 && (
                <Field label={painters.length === 0 ? 'Who paints' : 'And who else'}>
                    <Pick
                        value={null}
                        placeholder="Choose a painter"
                        options={free.map((p) => ({ value: p.id, label: p.name }))}
                        onChange={(id) => {
                            const person = free.find((p) => p.id === id);
                            if (person) set([...painters, usual(person)]);
                        }}
                    />
                </Field>
            )}
        </div>
    );
}

function Hand({
    hand,
    name,
    set,
    drop,
}: {
    hand: BatchHand;
    name: string;
    set: (patch: Partial<BatchHand>) => void;
    drop: () => void;
}) {
    return (
        <fieldset className={css.hand}>
            <legend className={css.whole}>
                <b>{name}</b>{' '}
                <Button size="small" type="text" onClick={drop}>
                    Without {name}
                </Button>
            </legend>
            <Field label="From">
                <Clock value={hand.from} take={(from) => set({ from })} />
            </Field>
            <Field label="To">
                <Clock value={hand.to} take={(to) => set({ to })} />
            </Field>
            <Checkbox.Group
                className={css.whole ?? ''}
                aria-label={`Days of ${name}`}
                options={DAYS}
                value={hand.days}
                onChange={(days) => set({ days: days })}
            />
            <Field label="Largest batch, in models">
                <InputNumber
                    min={1}
                    max={500}
                    precision={0}
                    placeholder="no limit"
                    value={hand.largest}
                    onChange={(largest) => set({ largest })}
                />
            </Field>
        </fieldset>
    );
}

/** An hour of the day. */
function Clock({ id, value, take }: { id?: string; value: string; take: (time: string) => void }) {
    return (
        <TimePicker
            id={id}
            value={dayjs(value, 'HH:mm')}
            format="HH:mm"
            minuteStep={15}
            allowClear={false}
            needConfirm={false}
            onKeyDown={(event) => {
                // Enter in a field of a form sends the form, with what was not written yet.
                if (event.key === 'Enter') event.preventDefault();
            }}
            onChange={(at) => at && take(at.format('HH:mm'))}
        />
    );
}
