import { useDraggable } from '@dnd-kit/core';
import type { PlanStep } from '../api/types';
import { ExtentMark } from './marks';

/** One technique on one area: pressed to see why it is there, dragged to put it on another area as well. */
export function StepChip({
    step,
    text,
    title,
    passes,
    minutes,
    look,
    drags,
    pressed,
    onPress,
}: {
    step: PlanStep;
    text: string;
    title: string;
    passes: number;
    minutes: string;
    look: string;
    drags: boolean;
    pressed: boolean;
    onPress: () => void;
}) {
    const { attributes, listeners, setNodeRef, isDragging } = useDraggable({
        id: step.key,
        data: { technique: step.technique, text },
        disabled: !drags,
    });
    return (
        <button
            ref={setNodeRef}
            type="button"
            {...(drags ? attributes : {})}
            className={`step ${look} ${isDragging ? 'dragged' : ''}`}
            aria-pressed={pressed}
            data-area={step.area ?? ''}
            title={title}
            onClick={onPress}
            {...listeners}
        >
            <span className="ink" style={{ background: step.colour?.hex ?? 'var(--rule)' }} />
            <span className="t">{text}</span>
            {(step.extent !== 'full' || passes > 1) && <ExtentMark extent={step.extent} passes={passes} />}
            <span className="m num">{minutes}</span>
        </button>
    );
}
