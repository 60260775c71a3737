import { Button, Empty as Nothing, Result, Skeleton } from 'antd';
import type { ReactNode } from 'react';
import { saysWhy } from '../api/client';
import { Says } from './Says';

export function Loading({ what }: { what: string }) {
    return (
        <div className="state-wait" role="status">
            <p className="soft">Reading {what} …</p>
            <Skeleton active title={false} paragraph={{ rows: 5 }} />
        </div>
    );
}

export function Failed({ error, again }: { error: unknown; again?: () => void }) {
    return (
        <div role="alert">
            <Result
                status="warning"
                title="This could not be read"
                subTitle={saysWhy(error)}
                extra={again && <Button onClick={again}>Try again</Button>}
            />
        </div>
    );
}

export function Empty({ title, children }: { title: string; children?: ReactNode }) {
    return (
        <Nothing className="state" image={false} description={<h2>{title}</h2>}>
            {children}
        </Nothing>
    );
}

/** A caution always defers to what applies on the spot. */
export function Caution({ text }: { text: string | null | undefined }) {
    if (!text) return null;
    return (
        <Says kind="warn" className="small my-6">
            {text}
            {/local rules/i.test(text)
                ? ''
                : ' Local rules, the safety data sheet and trained advice come first.'}
        </Says>
    );
}
