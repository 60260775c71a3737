import { useQuery } from '@tanstack/react-query';
import { Button, Flex } from 'antd';
import { useParams } from 'react-router';
import { sharedQuery } from '../../api/standard';
import { BehindLink } from '../../ui/BehindLink';
import { Comparison } from './Comparison';

/** What a client sees who has a link: the sheet, and no way anywhere else. */
export default function SharedPage() {
    const { secret } = useParams();
    const query = useQuery(sharedQuery(secret ?? ''));
    return (
        <BehindLink query={query} what="the sheet">
            {(sheet) => (
                <main className="page shared">
                    <Flex gap={12} align="baseline" className="mt-8 mx-0 mb-14">
                        <h1>The {sheet.sculpt} at every tier</h1>
                        <span className="soft">{sheet.studio}</span>
                        <span className="grow" />
                        <Button className="no-print" onClick={() => window.print()}>
                            Print
                        </Button>
                    </Flex>
                    <Comparison sheet={sheet} prices secret={secret} />
                    <p className="small soft">
                        Nothing is binding until the studio has confirmed an order. The figures are drawn from
                        the studio’s standard in the order’s colours; they are not photographs.
                    </p>
                </main>
            )}
        </BehindLink>
    );
}
