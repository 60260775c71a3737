import type { ReactNode } from 'react';
import { saysWhy } from '../api/client';

export function Loading({ what }: { what: string }) {
    return (
        <div className="state" role="status">
            <p>Reading {what} …</p>
        </div>
    );
}

export function Failed({ error, again }: { error: unknown; again?: () => void }) {
    return (
        <div className="state" role="alert">
            <h2>This could not be read</h2>
            <p>{saysWhy(error)}</p>
            {again && (
                <button className="btn" onClick={again}>
                    Try again
                </button>
            )}
        </div>
    );
}

export function Empty({ title, children }: { title: string; children?: ReactNode }) {
    return (
        <div className="state">
            <h2>{title}</h2>
            {children}
        </div>
    );
}

/** A caution always defers to what applies on the spot. */
export function Caution({ text }: { text: string | null | undefined }) {
    if (!text) return null;
    return (
        <p className="says warn small" style={{ margin: '6px 0' }}>
            {text}
            {/local rules/i.test(text)
                ? ''
                : ' Local rules, the safety data sheet and trained advice come first.'}
        </p>
    );
}
