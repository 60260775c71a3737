import { Button } from 'antd';
import { useState } from 'react';

/** How many reasons are said unasked: those that hold a step hardest. */
const SAID = 2;

/** Why a step stands where it stands; what holds it less is told on asking. */
export function HeldHere({ reasons }: { reasons: string[] }) {
    const [all, setAll] = useState(false);
    const said = all ? reasons : reasons.slice(0, SAID);
    return (
        <p className="small soft mt-0 mx-0 mb-6">
            In this place {said.join('; ') || 'because nothing comes before it'}.{' '}
            {said.length < reasons.length && (
                <Button type="link" size="small" onClick={() => setAll(true)}>
                    and {reasons.length - said.length} more
                </Button>
            )}
        </p>
    );
}
