import { Button, type ButtonProps } from 'antd';
import { useHref, useNavigate } from 'react-router';

/** A way to another page that looks like a button, and opens in a new tab like any link. */
export function LinkButton({ to, ...rest }: ButtonProps & { to: string }) {
    const go = useNavigate();
    return (
        <Button
            {...rest}
            href={useHref(to)}
            onClick={(e) => {
                if (e.metaKey || e.ctrlKey || e.shiftKey) return;
                e.preventDefault();
                void go(to);
            }}
        />
    );
}
