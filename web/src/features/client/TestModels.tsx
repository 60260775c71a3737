import { Button, Flex, Image } from 'antd';
import type { OrderForClient } from '../../api/quotes';
import { day } from '../../ui/when';
import css from './Client.module.css';
import type { PageProps } from './ForYouPage';
import { useAsking } from './useAsking';
import { useWords, Words } from './Words';

/** Test models: photographs, and the client's word on the colours. */
export function TestModels({ order, secret }: PageProps) {
    return order.test_models.map((t) => (
        <section key={t.unit} className={css.block} aria-label={`Test model: ${t.figure}`}>
            <h2>Your test model: {t.figure}</h2>
            <Flex gap={8} wrap>
                {t.photographs.map((p) => (
                    <figure key={p.sha256} className={css.photo}>
                        <Image
                            height={180}
                            src={`/api/v1/${secret ? `for-you/${secret}/` : ''}pictures/${p.sha256}`}
                            alt={`${t.figure}, ${p.view}`}
                        />
                        {p.drawn && <figcaption>drawn</figcaption>}
                    </figure>
                ))}
            </Flex>
            {t.said && (
                <p className="m-0">
                    {t.said.go_ahead ? 'Go ahead' : 'To be changed'}, said {t.said.name ?? ''} on{' '}
                    {day(t.said.at)}.
                </p>
            )}
            {secret && !t.said?.go_ahead && <Word test={t} secret={secret} />}
        </section>
    ));
}

function Word({ test, secret }: { test: OrderForClient['test_models'][number]; secret: string }) {
    const words = useWords();
    const say = useAsking(secret, () => words.setText(''));
    const sent = (go_ahead: boolean) =>
        say.mutate({ name: words.name, text: words.text, unit: test.unit, go_ahead });
    return (
        <div className="mt-8">
            <Words label="What you would have otherwise, if anything" rows={2} words={words} refused={say}>
                <Flex gap={8} wrap>
                    <Button type="primary" disabled={!words.isNamed} onClick={() => sent(true)}>
                        Go ahead with these colours
                    </Button>
                    <Button disabled={!words.isNamed || words.isEmpty} onClick={() => sent(false)}>
                        Change this
                    </Button>
                </Flex>
                <p className="small soft m-0">
                    {test.changes === 0
                        ? 'One change of colours is free; what comes after it is quoted.'
                        : 'The free change is used: the studio quotes another one before it does it.'}
                </p>
            </Words>
        </div>
    );
}
