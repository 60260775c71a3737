import { Button, Flex, Input } from 'antd';
import { useState } from 'react';

/** A slot that the scheme does not have yet. */
export function NewSlot({ add }: { add: (slot: string) => void }) {
    const [name, setName] = useState('');
    return (
        <Flex gap={8} className="p-12">
            <Input
                className="search"
                placeholder="another slot"
                aria-label="Name of another slot"
                value={name}
                onChange={(e) => setName(e.target.value)}
            />
            <Button
                disabled={name.trim() === ''}
                onClick={() => {
                    add(name.trim());
                    setName('');
                }}
            >
                Add the slot
            </Button>
        </Flex>
    );
}
