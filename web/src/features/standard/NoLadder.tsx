import { isMissing } from '../../api/client';
import { LinkButton } from '../../ui/LinkButton';
import { Empty, Failed } from '../../ui/states';
import { FirstSteps } from '../settings/FirstSteps';

/** What stands where a page needs a standard: none yet, or something that went wrong. */
export function NoLadder({ error, again }: { error: unknown; again: () => void }) {
    return isMissing(error) ? (
        <>
            <Empty title="No standard yet">
                <p>
                    A standard says what each tier includes. Begin with one of the packs that ship, with an
                    empty ladder and the whole catalogue, or with a file of your own.
                </p>
                <LinkButton type="primary" to="/standard/packs">
                    Choose a pack
                </LinkButton>
            </Empty>
            <div className="page">
                <FirstSteps />
            </div>
        </>
    ) : (
        <Failed error={error} again={again} />
    );
}
