import { useQuery } from '@tanstack/react-query';
import { share, sharesQuery } from '../../api/standard';
import { MadeLinks, MakeLink } from '../../ui/Links';

/** Links to the sheet for somebody without an account. */
export function Shares({ sculpt, prices }: { sculpt: string; prices: boolean }) {
    const links = useQuery(sharesQuery());
    const kept = sharesQuery().queryKey;
    return (
        <section className="card pad no-print" aria-label="Links for clients">
            <div className="eyebrow">Links for clients</div>
            <p className="small soft mt-4 mb-8">
                Whoever has the link sees this sheet and nothing else, without signing in, until it expires or
                you withdraw it.
            </p>
            <MakeLink
                button="Make a link"
                label="days"
                first={30}
                make={(days) => share(sculpt, prices, days)}
                kept={kept}
            />
            <MadeLinks
                links={(links.data?.data ?? []).map((l) => ({
                    ...l,
                    says: `${l.sculpt}, v${l.version}${l.prices ? ', with prices' : ''}`,
                }))}
                kept={kept}
            />
        </section>
    );
}
