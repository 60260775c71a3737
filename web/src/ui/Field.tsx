import { Form } from 'antd';
import { cloneElement, type ReactElement, type ReactNode, useId } from 'react';

/** A question and the part that answers it, bound to one another for those who hear the page. */
export function Field({
    label,
    help,
    children,
}: {
    label: ReactNode;
    help?: ReactNode;
    children: ReactElement<{ id?: string }>;
}) {
    const id = useId();
    return (
        <Form.Item className="field" label={label} htmlFor={id} help={help} colon={false} layout="vertical">
            {cloneElement(children, { id })}
        </Form.Item>
    );
}
