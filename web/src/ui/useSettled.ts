import { useEffect, useState } from 'react';

/** What a value, as JSON has it, is once it has stood still for so many ms. */
export function useSettled<T>(value: T, ms: number): T {
    const text = JSON.stringify(value);
    const [settled, setSettled] = useState(value);
    useEffect(() => {
        const wait = setTimeout(() => setSettled(JSON.parse(text) as T), ms);
        return () => clearTimeout(wait);
    }, [text, ms]);
    return settled;
}
