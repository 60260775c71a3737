import { Modal, Table } from 'antd';
import { KEYS } from './keys';

const WIDE = { Escape: 'Esc', arrows: 'arrow keys' } as const;
const words = (keys: string): string => (WIDE as Partial<Record<string, string>>)[keys] ?? keys;

/** All keys, page by page. */
export function Help({ open, close }: { open: boolean; close: () => void }) {
    return (
        <Modal open={open} title="Keys" footer={null} onCancel={close}>
            <Table
                size="small"
                pagination={false}
                rowKey="id"
                dataSource={Object.entries(KEYS).map(([id, k]) => ({ id, ...k }))}
                columns={[
                    { title: 'Where', dataIndex: 'where' },
                    { title: 'Key', dataIndex: 'keys', render: (keys: string) => <kbd>{words(keys)}</kbd> },
                    { title: 'What it does', dataIndex: 'does' },
                ]}
            />
        </Modal>
    );
}
