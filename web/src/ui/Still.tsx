/** A picture as it is: nothing opens, nothing can be dragged out of it. */
export function Still({ src, alt, className }: { src: string; alt: string; className?: string | undefined }) {
    return <img className={className} src={src} alt={alt} draggable={false} />;
}
