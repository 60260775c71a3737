import { Button, type ButtonProps } from 'antd';

/** One of several things that can be switched on beside one another. */
export function Chip({ on, className = '', ...rest }: ButtonProps & { on?: boolean }) {
    return (
        <Button
            {...rest}
            size="small"
            shape="round"
            className={`chip ${className}`}
            {...(on === undefined ? {} : { 'aria-pressed': on, type: on ? 'primary' : 'default' })}
        />
    );
}
