import { Button, Flex, Tag } from 'antd';
import type { Technique, TechniqueUse } from '../../api/types';
import { More } from '../../ui/More';
import { Caution } from '../../ui/states';
import { effectWords, plain, word } from './words';

/** A technique of the catalogue: what it is for, how it is done, which tiers use it. */
export function TechniqueCard({
    technique: t,
    usedBy,
    busy,
    change,
    put,
}: {
    technique: Technique;
    usedBy: TechniqueUse[];
    busy?: boolean;
    change?: () => void;
    put?: (after: Technique) => void;
}) {
    return (
        <article className={t.retired ? 'card pad retired' : 'card pad'}>
            <Flex gap={8} align="baseline">
                <h2 className="grow">{t.name}</h2>
                <span className="eyebrow">
                    {word('family', t.family)}
                    {t.retired ? ' · retired' : ''}
                </span>
            </Flex>
            <p className="small my-4 mx-0">{t.notes.purpose}</p>
            <p className="small soft num my-4 mx-0">
                Gives{' '}
                {Object.entries(t.effects)
                    .map(([e, x]) => `${effectWords(e)}${x === 'full' ? '' : ` (${x})`}`)
                    .join(', ')}{' '}
                · {t.whole ? 'on the whole model' : `${t.hand} min on 10 cm²`} · dries {t.dry} min
                {t.grade !== null ? ` · grade ${t.grade}` : ''}
            </p>
            <More label={<>How it is done</>}>
                <p className="small lines">{t.notes.how}</p>
                {t.notes.consistency !== '' && (
                    <p className="small">
                        <b>Paint</b> {t.notes.consistency}
                    </p>
                )}
                {t.notes.tools !== '' && (
                    <p className="small">
                        <b>Tools</b> {t.notes.tools}
                    </p>
                )}
                {t.notes.good !== '' && (
                    <p className="small">
                        <b>Good</b> {t.notes.good}
                    </p>
                )}
                {t.notes.faults.length > 0 && (
                    <p className="small">
                        <b>Usual faults</b> {t.notes.faults.map(plain).join(', ')}
                    </p>
                )}
            </More>
            <Caution text={t.notes.caution} />
            <div className="small mt-6">
                {usedBy.length === 0 ? (
                    <span className="soft">No tier names it.</span>
                ) : (
                    usedBy.map((u) => (
                        <Tag key={u.tier}>
                            {u.name}: {word('status', u.status)}
                            {u.everywhere ? '' : ', in places'}
                        </Tag>
                    ))
                )}
            </div>
            {change && put && (
                <div className="mt-6">
                    <Button type="link" onClick={change}>
                        Change
                    </Button>
                    <Button
                        type="link"
                        disabled={busy ?? false}
                        onClick={() => {
                            const { retired: _, ...rest } = t;
                            put(t.retired ? rest : { ...rest, retired: true });
                        }}
                    >
                        {t.retired ? 'Take up again' : 'Retire'}
                    </Button>
                </div>
            )}
        </article>
    );
}
