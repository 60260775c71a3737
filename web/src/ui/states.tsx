import type { ReactNode } from 'react';
import { saysWhy } from '../api/client';

export function Loading({ what }: { what: string }) {
    return <div className="state" role="status"><p>Reading {what} …</p></div>;
}

export function Failed({ error, again }: { error: unknown; again?: () => void }) {
    return (
        <div className="state" role="alert">
            <h2>This could not be read</h2>
            <p>{saysWhy(error)}</p>
            {again && <button className="btn" onClick={again}>Try again</button>}
        </div>
    );
}

export function Empty({ title, children }: { title: string; children?: ReactNode }) {
    return <div className="state"><h2>{title}</h2>{children}</div>;
}
