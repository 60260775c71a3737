import { Button, Flex, Input } from 'antd';
import { useState } from 'react';
import { Field } from '../../ui/Field';
import type { Area } from './map';

/** By what name files and clauses know an area, and the way to take it out. */
export function AreaKey({
    area,
    others,
    rename,
    remove,
}: {
    area: Area;
    others: Area[];
    rename: (key: string) => void;
    remove: () => void;
}) {
    const [key, setKey] = useState(area.key);
    return (
        <Flex gap={8} align="end">
            <Field label="Key in files and clauses">
                <Input
                    value={key}
                    onChange={(e) => setKey(e.target.value)}
                    onBlur={() => {
                        if (
                            key !== area.key &&
                            /^[a-z][a-z0-9_]*$/.test(key) &&
                            !others.some((o) => o.key === key)
                        )
                            rename(key);
                        else setKey(area.key);
                    }}
                />
            </Field>
            <Button danger disabled={others.length === 0} onClick={remove}>
                Remove area
            </Button>
        </Flex>
    );
}
