import { useQuery } from '@tanstack/react-query';
import { Button, Checkbox, Flex } from 'antd';
import { useState } from 'react';
import { useSearchParams } from 'react-router';
import { ladderQuery, sheetQuery } from '../../api/standard';
import { can, usePerson } from '../../app/session';
import { Top } from '../../app/Top';
import { Pick } from '../../ui/Pick';
import { Empty, Failed, Loading } from '../../ui/states';
import { Comparison } from './Comparison';
import { Examples } from './Examples';
import { NoLadder } from './NoLadder';
import { Shares } from './Shares';
import { NoFigure, StandardTabs } from './StandardTabs';

/** One figure at every offered tier, as a client sees it. */
export default function ComparisonPage() {
    const person = usePerson();
    const [asked, setAsked] = useSearchParams();
    const chosen = asked.get('figure') ?? '';
    const setChosen = (figure: string) => setAsked({ figure }, { replace: true });
    const [prices, setPrices] = useState(true);
    const ladder = useQuery(ladderQuery());
    const figures = ladder.data?.sculpts ?? [];
    const sculpt = chosen || (figures.find((s) => s.role === 'regular') ?? figures[0])?.slug || '';
    const published = ladder.data?.published != null;
    const query = useQuery({ ...sheetQuery(sculpt), enabled: sculpt !== '' && published });
    if (ladder.isPending) return <Loading what="the ladder" />;
    if (ladder.isError) return <NoLadder error={ladder.error} again={() => void ladder.refetch()} />;
    return (
        <>
            <Top>
                <h1>Comparison sheet</h1>
                {query.data && <span className="pill">from v{query.data.version}, as published</span>}
                <span className="room" />
                <span className="small soft">
                    Figure{' '}
                    <Pick
                        aria-label="Figure"
                        value={sculpt}
                        onChange={setChosen}
                        options={figures.map((s) => ({ value: s.slug, label: s.name }))}
                    />
                </span>
                <Checkbox
                    className="small soft"
                    checked={prices}
                    onChange={(e) => setPrices(e.target.checked)}
                >
                    with prices
                </Checkbox>
                <Button type="primary" onClick={() => window.print()}>
                    Print
                </Button>
            </Top>
            <StandardTabs />
            <Flex vertical gap={14} className="page">
                {figures.length === 0 ? (
                    <NoFigure />
                ) : !published ? (
                    <Empty title="Nothing is published yet">
                        <p>A client sees what is binding: publish the draft, and the sheet is here.</p>
                    </Empty>
                ) : query.isPending ? (
                    <Loading what="the plans of every tier" />
                ) : query.isError ? (
                    <Failed error={query.error} again={() => void query.refetch()} />
                ) : (
                    <Comparison sheet={query.data} prices={prices} />
                )}
                <Examples />
                {can(person, 'share') && sculpt !== '' && (
                    <Shares key={`${sculpt} ${prices}`} sculpt={sculpt} prices={prices} />
                )}
            </Flex>
        </>
    );
}
