import { useQuery } from '@tanstack/react-query';
import { Button, Flex } from 'antd';
import { useParams } from 'react-router';
import { saysWhy } from '../../api/client';
import { sharedQuery } from '../../api/standard';
import { Empty, Loading } from '../../ui/states';
import { Comparison } from './Comparison';

/** What a client sees who has a link: the sheet, and no way anywhere else. */
export default function SharedPage() {
    const { secret } = useParams();
    const query = useQuery(sharedQuery(secret ?? ''));
    if (query.isPending) return <Loading what="the sheet" />;
    if (query.isError)
        return (
            <Empty title="Nothing to see here">
                <p>{saysWhy(query.error)}</p>
            </Empty>
        );
    return (
        <main className="page shared">
            <Flex gap={12} align="baseline" className="mt-8 mx-0 mb-14">
                <h1>The {query.data.sculpt} at every tier</h1>
                <span className="soft">{query.data.studio}</span>
                <span className="grow" />
                <Button className="no-print" onClick={() => window.print()}>
                    Print
                </Button>
            </Flex>
            <Comparison sheet={query.data} prices secret={secret} />
            <p className="small soft">
                Prices are ranges and not binding until the studio has confirmed an order. The figures are
                drawn from the studio’s standard in the order’s colours; they are not photographs.
            </p>
        </main>
    );
}
