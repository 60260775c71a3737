import { Select, type SelectProps } from 'antd';

const LONG = 9;

/** One of a few values, told apart by their words. What is typed narrows a long list. */
export function Pick<T extends string | number>({
    options,
    onChange,
    eager = false,
    ...rest
}: Omit<SelectProps<T>, 'options' | 'onChange' | 'optionFilterProp'> & {
    options: readonly { value: T; label: string; disabled?: boolean }[];
    onChange: (value: T) => void;
    /** Whether typing takes a value as soon as no other one fits what is typed. */
    eager?: boolean;
}) {
    const search = (text: string) => {
        const left = options.filter((o) => o.label.toLowerCase().includes(text.toLowerCase()));
        const [only] = left;
        if (eager && only !== undefined && left.length === 1 && only.value !== rest.value)
            onChange(only.value);
    };
    return (
        <Select<T>
            {...rest}
            options={options.map((o) => ({ ...o, title: o.label }))}
            onChange={(value) => onChange(value)}
            popupMatchSelectWidth={false}
            {...(eager || options.length > LONG
                ? { showSearch: { optionFilterProp: 'label', onSearch: search } }
                : {})}
        />
    );
}
