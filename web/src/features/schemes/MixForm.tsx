import { Button, Flex, InputNumber } from 'antd';
import { useState } from 'react';
import type { PaintName } from '../../api/types';
import { Pick } from '../../ui/Pick';
import type { Mix, Paint } from './scheme';

const MOST = 99;
const FALLBACK = '#808080';

/** Parts of paint, and parts of medium to the whole. */
export function MixForm({
    value,
    paints,
    use,
    leave,
}: {
    value: Paint;
    paints: PaintName[];
    use: (mix: Paint) => void;
    leave: () => void;
}) {
    const first = paints[0]?.name ?? FALLBACK;
    const [mix, setMix] = useState<Mix>(typeof value === 'string' ? { parts: [[value || first, 1]] } : value);
    const part = (i: number, paint: string, parts: number) =>
        setMix({ ...mix, parts: mix.parts.map((p, k) => (k === i ? [paint, parts] : p)) });
    const free = paints.find((p) => !mix.parts.some(([name]) => name === p.name));
    const only = mix.parts.length === 1 && !mix.medium ? mix.parts[0]?.[0] : undefined;
    return (
        <Flex vertical gap={8} className="mix">
            {mix.parts.map(([paint, parts], i) => (
                <Flex key={i} gap={8} align="center">
                    <InputNumber
                        aria-label={`Parts of ${paint}`}
                        min={1}
                        max={MOST}
                        precision={0}
                        value={parts}
                        onChange={(n) => part(i, paint, n ?? 1)}
                    />
                    <Pick
                        aria-label={`Paint ${i + 1}`}
                        value={paint}
                        onChange={(name) => part(i, name, parts)}
                        options={paints
                            .filter((p) => p.name === paint || !mix.parts.some(([name]) => name === p.name))
                            .map((p) => ({ value: p.name, label: p.name }))}
                    />
                    {mix.parts.length > 1 && (
                        <Button
                            type="link"
                            size="small"
                            aria-label={`without ${paint}`}
                            onClick={() => setMix({ ...mix, parts: mix.parts.filter((_, k) => k !== i) })}
                        >
                            ×
                        </Button>
                    )}
                </Flex>
            ))}
            <Flex gap={8} align="center">
                <InputNumber
                    aria-label="Parts of medium"
                    min={0}
                    max={MOST}
                    precision={0}
                    value={mix.medium ?? 0}
                    onChange={(n) => setMix({ ...mix, medium: n ?? 0 })}
                />
                <span>parts of medium</span>
            </Flex>
            <Flex gap={8}>
                <Button
                    disabled={!free}
                    onClick={() => free && setMix({ ...mix, parts: [...mix.parts, [free.name, 1]] })}
                >
                    Another paint
                </Button>
                <Button onClick={leave}>Leave it</Button>
                <Button type="primary" onClick={() => use(only ?? mix)}>
                    Use this mix
                </Button>
            </Flex>
        </Flex>
    );
}
