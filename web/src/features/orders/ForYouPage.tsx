import { useQuery } from '@tanstack/react-query';
import { Button, Flex, Progress } from 'antd';
import { useParams } from 'react-router';
import { orderForClientQuery } from '../../api/orders';
import { BehindLink } from '../../ui/BehindLink';
import { AtDistance } from '../../ui/AtDistance';
import { Drawn } from '../../ui/Drawn';
import { KeptDetails } from '../../ui/KeptDetails';
import { day } from '../../ui/when';
import css from './Orders.module.css';

/** What a client sees of their order who has a link, and no way anywhere else. */
export default function ForYouPage() {
    const { secret } = useParams();
    const query = useQuery(orderForClientQuery(secret ?? ''));
    return (
        <BehindLink query={query} what="your order">
            {(order) => (
                <main className="page shared">
                    <Flex gap={12} align="baseline" wrap className="mt-8 mx-0 mb-14">
                        <h1>{order.title}</h1>
                        <span className="soft">
                            {order.studio}, order {order.number}
                            {order.due === null ? '' : `, meant for ${day(order.due)}`}
                        </span>
                        <span className="grow" />
                        <Button className="no-print" onClick={() => window.print()}>
                            Print
                        </Button>
                    </Flex>
                    <Flex vertical gap={16}>
                        {order.units.map((u, n) => (
                            <section key={n} className={`card pad ${css.forYou}`}>
                                <Flex gap={12} className={css.pictures}>
                                    {[u.drawn.front, u.drawn.back].map(
                                        (address) =>
                                            address !== undefined && (
                                                <div key={address}>
                                                    <Drawn address={address} alt={u.figure} instead={null} />
                                                </div>
                                            ),
                                    )}
                                </Flex>
                                <div>
                                    <h2>
                                        {u.count} × {u.figure}
                                        {u.label === null ? '' : `, ${u.label}`}
                                    </h2>
                                    <p className="soft mt-4">
                                        {u.tier}: {u.intent}
                                    </p>
                                    <Progress
                                        percent={Math.round((100 * u.finished) / Math.max(1, u.count))}
                                        showInfo={false}
                                        aria-label="Models finished"
                                    />
                                    <p className="small soft">
                                        {u.finished} of {u.count} finished
                                    </p>
                                    <ul className="small">
                                        {u.promised.map((p) => (
                                            <li key={p}>{p}</li>
                                        ))}
                                    </ul>
                                    <KeptDetails details={u.examples} secret={secret} />
                                    {u.drawn.front !== undefined && (
                                        <AtDistance
                                            address={u.drawn.front}
                                            alt={u.figure}
                                            widthMm={u.width_mm}
                                            distanceCm={u.distance_cm}
                                        />
                                    )}
                                </div>
                            </section>
                        ))}
                    </Flex>
                    <p className="small soft">
                        The figures are drawn as they are meant to look, from the studio’s standard in your
                        colours; they are not photographs.
                    </p>
                </main>
            )}
        </BehindLink>
    );
}
