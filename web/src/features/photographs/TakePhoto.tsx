import { useMutation } from '@tanstack/react-query';
import { Button, Upload } from 'antd';
import { saysWhy } from '../../api/client';
import { takePicture } from '../../api/orders';
import { Says } from '../../ui/Says';

/** Takes a photograph in: from a file, the clipboard or a tablet's camera. */
export function TakePhoto({
    text,
    keep,
    kept,
}: {
    text: string;
    keep: (sha256: string) => Promise<unknown>;
    kept: () => Promise<unknown>;
}) {
    const take = useMutation({
        mutationFn: async (file: File) => keep((await takePicture(file)).sha256),
        onSuccess: kept,
    });
    return (
        <>
            <Upload
                accept="image/png,image/jpeg,image/webp"
                capture="environment"
                showUploadList={false}
                disabled={take.isPending}
                pastable
                beforeUpload={(file) => {
                    take.mutate(file);
                    return false;
                }}
            >
                <Button size="small" loading={take.isPending}>
                    {text}
                </Button>
            </Upload>
            {take.isError && <Says kind="bad">{saysWhy(take.error)}</Says>}
        </>
    );
}
