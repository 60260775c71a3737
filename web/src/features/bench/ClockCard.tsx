import { Button, Flex } from 'antd';
import { useState } from 'react';
import { keyShown, useKey } from '../../app/keys';
import { Says } from '../../ui/Says';
import css from './Bench.module.css';
import { TimeDrawer } from './TimeDrawer';
import type { Clock } from './useClock';

const two = (n: number) => String(n).padStart(2, '0');

/** One clock for the sitting; its minutes are spread over what is marked next. */
export function ClockCard({ clock, unit }: { clock: Clock; unit: number }) {
    const [open, setOpen] = useState(false);
    useKey('clock', clock.toggle);
    const { seconds } = clock;
    return (
        <section className="card pad" aria-label="The clock">
            <Flex gap={8} align="center" justify="space-between" wrap>
                <span className={css.clock} role="timer">
                    {seconds >= 3600 && `${Math.floor(seconds / 3600)}:`}
                    {two(Math.floor(seconds / 60) % 60)}:{two(seconds % 60)}
                </span>
                <Button type={clock.running ? 'default' : 'primary'} onClick={clock.toggle}>
                    {clock.running ? 'Pause' : seconds > 0 ? 'Go on' : 'Start the clock'}{' '}
                    <kbd>{keyShown('clock')}</kbd>
                </Button>
            </Flex>
            {!clock.running && seconds === 0 && (
                <p className="small soft m-0">
                    Without it, what you mark has no minutes: planned ones are never booked as spent.
                </p>
            )}
            {clock.isLong && (
                <Says kind="warn" className="mt-8">
                    It ran for more than three hours. If it was forgotten, leave its minutes out.{' '}
                    <Button size="small" onClick={clock.drop}>
                        Leave them out
                    </Button>
                </Says>
            )}
            <Button size="small" type="text" onClick={() => setOpen(true)}>
                Minutes that were told
            </Button>
            {open && <TimeDrawer unit={unit} close={() => setOpen(false)} />}
        </section>
    );
}
