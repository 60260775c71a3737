<?php

declare(strict_types=1);

namespace App\Backup;

use App\Exceptions\InstallationRefused;
use Generator;

/** What a `SealedWriter` wrote: found to be as it was written, to its end, before the first record is given out. */
final readonly class SealedReader implements Source
{
    /** The longest sealed piece that is read. */
    private const LONGEST = 1_000_000;

    private function __construct(private string $file, private BackupKey $key)
    {
    }

    /** @throws InstallationRefused when it is no backup, was sealed with another key, changed, or cut */
    public static function open(string $file, BackupKey $key): self
    {
        $reader = new self($file, $key);
        foreach ($reader->pieces() as $_) {
            // Each is held against its seal as it is read.
        }

        return $reader;
    }

    public static function isSealed(string $file): bool
    {
        $mark = SealedWriter::MARK;

        return is_readable($file) && file_get_contents($file, length: strlen($mark)) === $mark;
    }

    public function records(): Generator
    {
        $inflate = inflate_init(ZLIB_ENCODING_DEFLATE);
        if ($inflate === false) {
            throw InstallationRefused::backupDamaged('it cannot be inflated');
        }
        $there = '';
        foreach ($this->pieces() as $piece) {
            $there .= inflate_add($inflate, $piece);
            $at = 0;
            while (strlen($there) - $at >= 5) {
                ['kind' => $kind, 'length' => $length] = (array) unpack('akind/Nlength', $there, $at);
                if (strlen($there) - $at - 5 < $length) {
                    break;
                }
                yield $kind => substr($there, $at + 5, $length);
                $at += 5 + $length;
            }
            $there = substr($there, $at);
        }
        if ($there !== '') {
            throw InstallationRefused::backupDamaged('its last record is cut');
        }
    }

    /** @return Generator<int, string> opened pieces */
    private function pieces(): Generator
    {
        $in = is_readable($this->file) ? fopen($this->file, 'r') : false;
        if ($in === false) {
            throw InstallationRefused::backupDamaged("there is no file $this->file that can be read");
        }
        try {
            $head = SealedWriter::MARK.$this->key->id()."\n";
            $there = (string) fread($in, strlen($head));
            if (! str_starts_with($there, SealedWriter::MARK)) {
                throw InstallationRefused::backupDamaged('it is no sealed backup of a studio');
            }
            if ($there !== $head) {
                throw InstallationRefused::sealedWithAnotherKey();
            }
            $start = self::exactly($in, SODIUM_CRYPTO_SECRETSTREAM_XCHACHA20POLY1305_HEADERBYTES);
            $state = sodium_crypto_secretstream_xchacha20poly1305_init_pull($start, $this->key->bytes);
            $tag = null;
            while ($tag !== SODIUM_CRYPTO_SECRETSTREAM_XCHACHA20POLY1305_TAG_FINAL) {
                $length = ((array) unpack('N', self::exactly($in, 4)))[1];
                if ($length < SODIUM_CRYPTO_SECRETSTREAM_XCHACHA20POLY1305_ABYTES || $length > self::LONGEST) {
                    throw InstallationRefused::backupDamaged('it was changed');
                }
                $opened = sodium_crypto_secretstream_xchacha20poly1305_pull($state, self::exactly($in, $length), $head);
                if ($opened === false) {
                    throw InstallationRefused::backupDamaged('it was changed');
                }
                [$piece, $tag] = $opened;
                yield $piece;
            }
            if (fread($in, 1) !== '') {
                throw InstallationRefused::backupDamaged('something was added at its end');
            }
        } finally {
            fclose($in);
        }
    }

    /** @param  resource  $in */
    private static function exactly(mixed $in, int $bytes): string
    {
        $read = (string) stream_get_contents($in, $bytes);

        return strlen($read) === $bytes ? $read : throw InstallationRefused::backupDamaged('it was cut');
    }
}
