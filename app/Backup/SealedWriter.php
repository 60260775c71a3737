<?php

declare(strict_types=1);

namespace App\Backup;

use DeflateContext;
use RuntimeException;

/**
 * A file of records that only its key opens, and that opens only as it was closed: XChaCha20-Poly1305 in libsodium's
 * secret stream, each piece with the length before it, the last one marked as the last. Within: records of one letter,
 * a length (32 bits, big endian) and as many bytes, deflated.
 */
final class SealedWriter
{
    public const MARK = "ordotype/backup@2\n";

    /** Bytes of a piece before it is sealed. */
    private const PIECE = 65_536;

    private string $state;

    private string $waiting = '';

    /** @param  resource  $out */
    private function __construct(
        private readonly mixed $out,
        BackupKey $key,
        private readonly DeflateContext $deflate,
        private readonly string $head,
    ) {
        [$this->state, $start] = sodium_crypto_secretstream_xchacha20poly1305_init_push($key->bytes);
        $this->put($head.$start);
    }

    public static function to(string $file, BackupKey $key): self
    {
        $out = fopen($file, 'x') ?: throw new RuntimeException("$file cannot be written");
        chmod($file, 0600);
        $deflate = deflate_init(ZLIB_ENCODING_DEFLATE, ['level' => 6]);

        return $deflate === false
            ? throw new RuntimeException('nothing can be deflated here')
            : new self($out, $key, $deflate, self::MARK.$key->id()."\n");
    }

    /** @param  string  $kind  one letter */
    public function add(string $kind, string $bytes): void
    {
        $this->waiting .= deflate_add($this->deflate, pack('aN', $kind, strlen($bytes)).$bytes, ZLIB_NO_FLUSH);
        while (strlen($this->waiting) > self::PIECE) {
            $this->seal(
                substr($this->waiting, 0, self::PIECE),
                SODIUM_CRYPTO_SECRETSTREAM_XCHACHA20POLY1305_TAG_MESSAGE,
            );
            $this->waiting = substr($this->waiting, self::PIECE);
        }
    }

    /** @return int bytes of the file */
    public function close(): int
    {
        $this->waiting .= deflate_add($this->deflate, '', ZLIB_FINISH);
        $this->seal($this->waiting, SODIUM_CRYPTO_SECRETSTREAM_XCHACHA20POLY1305_TAG_FINAL);
        $bytes = (int) ftell($this->out);
        if (! fsync($this->out) || ! fclose($this->out)) {
            throw new RuntimeException('the backup could not be written to the end');
        }

        return $bytes;
    }

    private function seal(string $piece, int $tag): void
    {
        $sealed = sodium_crypto_secretstream_xchacha20poly1305_push($this->state, $piece, $this->head, $tag);
        $this->put(pack('N', strlen($sealed)).$sealed);
    }

    private function put(string $bytes): void
    {
        if (fwrite($this->out, $bytes) !== strlen($bytes)) {
            throw new RuntimeException('the backup could not be written: is the disk full?');
        }
    }
}
