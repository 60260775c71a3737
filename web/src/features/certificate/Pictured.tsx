import { Flex, Image } from 'antd';
import type { components } from '../../api/schema';
import css from './Certificate.module.css';

/** The photographs that a record names, from an address that has them; drawn ones say so. */
export function Pictured({
    pictures,
    from,
}: {
    pictures: components['schemas']['CertificateForClient']['pictures'];
    from: string;
}) {
    if (pictures.length === 0) return null;
    return (
        <Flex gap={10} wrap className="my-10">
            {pictures.map((p) => (
                <figure key={`${p.model} ${p.view} ${p.sha256}`} className={css.picture}>
                    <Image src={`${from}/${p.sha256}`} alt={`Model ${p.model}, the ${p.view}`} />
                    <figcaption className="small soft">
                        Model {p.model}, the {p.view}
                        {p.drawn ? ': drawn, not photographed' : ''}
                    </figcaption>
                </figure>
            ))}
        </Flex>
    );
}
