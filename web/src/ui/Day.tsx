import { DatePicker, Typography } from 'antd';
import dayjs, { type Dayjs } from 'dayjs';
import customParseFormat from 'dayjs/plugin/customParseFormat';
import { useState } from 'react';

dayjs.extend(customParseFormat);

/** Ways in which a day is typed; the first is how it is shown. */
const TYPED = ['D MMM YYYY', 'D MMMM YYYY', 'YYYY-MM-DD', 'D.M.YYYY', 'D/M/YYYY'];

const isNoDay = (typed: string): boolean =>
    typed !== '' && !TYPED.some((f) => dayjs(typed, f, true).isValid());

/** A day, picked or typed: what was typed is kept when the field is left, and Enter keeps it, no more. */
export function Day({
    id,
    value,
    onChange,
    disabled,
    variant,
}: {
    id?: string;
    value?: Dayjs | null;
    onChange?: (on: Dayjs | null) => void;
    disabled?: boolean;
    variant?: 'filled' | 'outlined';
}) {
    const [wrong, setWrong] = useState(false);
    return (
        <>
            <DatePicker
                id={id}
                value={value ?? null}
                disabled={disabled}
                variant={variant}
                className="wide"
                format={TYPED}
                needConfirm={false}
                preserveInvalidOnBlur
                status={wrong ? 'error' : ''}
                onChange={(on: Dayjs | null) => {
                    setWrong(false);
                    onChange?.(on);
                }}
                onBlur={(event) => setWrong(isNoDay((event.target as HTMLInputElement).value))}
                onKeyDown={(event) => {
                    // Enter in a field of a form sends the form, with what was not written yet.
                    if (event.key === 'Enter') event.preventDefault();
                }}
            />
            {wrong && (
                <Typography.Text type="danger" role="alert">
                    That is no day: write it as 24 Dec 2026.
                </Typography.Text>
            )}
        </>
    );
}
