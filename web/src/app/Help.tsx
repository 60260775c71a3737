import { Modal, Table } from 'antd';
import { type KeyName, KEYS, keyShown } from './keys';

const NAMES = Object.keys(KEYS) as KeyName[];

/** All keys, page by page. */
export function Help({ open, close }: { open: boolean; close: () => void }) {
    return (
        <Modal open={open} title="Keys" footer={null} onCancel={close}>
            <Table
                size="small"
                pagination={false}
                rowKey="id"
                dataSource={NAMES.map((id) => ({ id, ...KEYS[id] }))}
                columns={[
                    { title: 'Where', dataIndex: 'where' },
                    { title: 'Key', dataIndex: 'id', render: (id: KeyName) => <kbd>{keyShown(id)}</kbd> },
                    { title: 'What it does', dataIndex: 'does' },
                ]}
            />
        </Modal>
    );
}
