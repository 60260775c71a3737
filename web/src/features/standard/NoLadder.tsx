import { Link } from 'react-router';
import { Problem } from '../../api/client';
import { Empty, Failed } from '../../ui/states';

/** What stands where a page needs a standard: none yet, or something that went wrong. */
export function NoLadder({ error, again }: { error: unknown; again: () => void }) {
    return error instanceof Problem && error.status === 404 ? (
        <Empty title="No standard yet">
            <p>
                A standard says what each tier includes. Begin with one of the packs that ship, or with a file
                of your own.
            </p>
            <Link className="btn main" to="/standard/packs">
                Choose a pack
            </Link>
        </Empty>
    ) : (
        <Failed error={error} again={again} />
    );
}
