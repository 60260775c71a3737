import { CloseOutlined } from '@ant-design/icons';
import { Button, Flex } from 'antd';
import type { PlanStep, UnitPlan } from '../../api/types';
import { Swatch } from '../../ui/marks';
import { Says } from '../../ui/Says';
import { Caution } from '../../ui/states';
import type { Bend } from './bend';
import { follows } from './follows';
import { HeldHere } from './HeldHere';
import { areaName, becauseWords, colourWords, longName } from './names';
import { PaintAndNote } from './PaintAndNote';
import { StepChange } from './StepChange';

/** Why a step is here, what could be done instead, its paint and its note. */
export function Why({
    data,
    bend,
    step,
    close,
}: {
    data: UnitPlan;
    bend: Bend;
    step: PlanStep;
    close: () => void;
}) {
    const card = data.techniques.find((t) => t.key === step.technique);
    const surplus = data.plan.surplus.find((s) => s.step === step.no);
    return (
        <section className="card pad why" aria-label="Why is this here?">
            <Flex justify="space-between">
                <span className="eyebrow">Why is this here?</span>
                <Button
                    type="text"
                    size="small"
                    icon={<CloseOutlined />}
                    onClick={close}
                    aria-label="Close"
                />
            </Flex>
            <h2 className="mt-2 mx-0 mb-6">
                {longName(data, step.technique)} on {areaName(data, step.area).toLowerCase()}
            </h2>
            <p className="small mt-0 mx-0 mb-6">
                Asked by{' '}
                {step.because.map((b) => becauseWords(data, b)).join('; ') || 'nobody: it was added by hand'}.
            </p>
            <HeldHere key={step.key} reasons={follows(data, step)} />
            {step.colour && (
                <p className="small mt-0 mx-0 mb-6">
                    <Swatch hex={step.colour.hex} /> {colourWords(step)}
                    {step.colour.mixed_with ? ': ten drops of each' : ''}
                </p>
            )}
            <p className="small mt-0 mx-0 mb-6">{card?.how}</p>
            <Caution text={card?.caution} />
            {surplus?.practice && <Says kind="plain">Done as practice: not counted as given away.</Says>}
            {data.editable && step.area !== null && !step.key.endsWith(':joint') && (
                <StepChange
                    data={data}
                    bend={bend}
                    step={step}
                    area={step.area}
                    beyond={surplus?.beyond ?? false}
                />
            )}
            {data.editable && data.piece === null && (
                <PaintAndNote key={`${step.key} ${data.unit.revision}`} data={data} bend={bend} step={step} />
            )}
            {!data.editable && data.arranged.notes[step.key] && (
                <Says kind="plain">{data.arranged.notes[step.key]}</Says>
            )}
        </section>
    );
}
