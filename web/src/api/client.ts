/** What the server says when it refuses: RFC 9457, with a pointer to each field that is wrong. */
export interface ProblemBody {
    title: string;
    status: number;
    detail: string;
    errors: { pointer: string; detail: string }[];
    current?: Record<string, unknown>;
}

export class Problem extends Error {
    constructor(readonly body: ProblemBody) {
        super(body.detail);
    }

    get status(): number {
        return this.body.status;
    }
}

function token(): string {
    const found = /(?:^|; )XSRF-TOKEN=([^;]+)/.exec(document.cookie);
    return found?.[1] === undefined ? '' : decodeURIComponent(found[1]);
}

async function call<T>(method: string, path: string, body?: unknown, raw?: string | FormData): Promise<T> {
    let response: Response;
    try {
        response = await fetch(`/api/v1/${path}`, {
            method,
            credentials: 'same-origin',
            headers: {
                Accept: 'application/json',
                'X-XSRF-TOKEN': token(),
                // A form names its own type, with the boundary between its parts.
                ...((body === undefined && raw === undefined) || raw instanceof FormData
                    ? {}
                    : { 'Content-Type': 'application/json' }),
            },
            ...(raw !== undefined ? { body: raw } : body === undefined ? {} : { body: JSON.stringify(body) }),
        });
    } catch {
        throw new Problem({
            title: 'No connection',
            status: 0,
            detail: 'The server cannot be reached. Nothing was lost: try again when the connection is back.',
            errors: [],
        });
    }
    if (response.status === 204) return undefined as T;
    const read: unknown = await response.json().catch(() => null);
    if (!response.ok) {
        throw new Problem(
            (read as ProblemBody | null) ?? {
                title: 'Something broke',
                status: response.status,
                detail: `The server answered ${response.status} without saying why.`,
                errors: [],
            },
        );
    }
    return read as T;
}

export const api = {
    get: <T>(path: string) => call<T>('GET', path),
    post: <T>(path: string, body?: unknown) => call<T>('POST', path, body ?? {}),
    /** A file as it is, so that what is wrong in it is said by the server with its place. */
    file: <T>(path: string, text: string) => call<T>('POST', path, undefined, text),
    form: <T>(path: string, form: FormData) => call<T>('POST', path, undefined, form),
    put: <T>(path: string, body: unknown) => call<T>('PUT', path, body),
    remove: <T>(path: string, body?: unknown) => call<T>('DELETE', path, body ?? {}),
};

export const saysWhy = (error: unknown): string =>
    error instanceof Error ? error.message : 'That did not work.';
