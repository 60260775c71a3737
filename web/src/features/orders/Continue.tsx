import { useMutation } from '@tanstack/react-query';
import { Button, Flex, Modal } from 'antd';
import dayjs from 'dayjs';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { saysWhy } from '../../api/client';
import { continueArmy } from '../../api/quotes';
import type { Order } from '../../api/types';
import { Day } from '../../ui/Day';
import { Field } from '../../ui/Field';
import { Says } from '../../ui/Says';

const MONTHS = 6;

/** A new order for the same client, in the same colours, by the same standard, at the same prices until a day. */
export function Continue({ order, close }: { order: Order; close: () => void }) {
    const go = useNavigate();
    const [until, setUntil] = useState(dayjs().add(MONTHS, 'month'));
    const next = useMutation({
        mutationFn: () => continueArmy(order.id, until.format('YYYY-MM-DD')),
        onSuccess: ({ id }) => go(`/orders/${id}`),
    });
    return (
        <Modal open title="Continue this army" footer={null} onCancel={close}>
            <Flex vertical gap={10}>
                <p className="m-0">
                    A new order for {order.client}, in the same scheme and by version {order.standard_version}{' '}
                    of the standard, so that it fits what is there.
                </p>
                <Field label="Its prices hold until">
                    <Day value={until} onChange={(d) => d && setUntil(d)} />
                </Field>
                {next.isError && <Says kind="bad">{saysWhy(next.error)}</Says>}
                <Button type="primary" loading={next.isPending} onClick={() => next.mutate()}>
                    Open the order
                </Button>
            </Flex>
        </Modal>
    );
}
