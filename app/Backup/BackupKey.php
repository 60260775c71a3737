<?php

declare(strict_types=1);

namespace App\Backup;

use App\Exceptions\InstallationRefused;

/**
 * The key that the backups of an installation are sealed with: 32 random bytes in a file of root's, which whoever
 * serves the application cannot read. On paper it is spelled in letters that are told apart by hand and by eye
 * (Crockford's base 32), with four more that catch a slip of the pen.
 */
final readonly class BackupKey
{
    private const LETTERS = '0123456789ABCDEFGHJKMNPQRSTVWXYZ';

    /** @param  string  $bytes  32 */
    private function __construct(public string $bytes)
    {
    }

    /** @throws InstallationRefused when this installation has none that can be read */
    public static function here(): self
    {
        $file = self::file();
        $bytes = is_readable($file) ? (string) file_get_contents($file) : '';

        return strlen($bytes) === SODIUM_CRYPTO_SECRETSTREAM_XCHACHA20POLY1305_KEYBYTES
            ? new self($bytes)
            : throw InstallationRefused::noBackupKey($file);
    }

    /** @return self|null null: there is one already */
    public static function make(): ?self
    {
        $file = self::file();
        if (is_file($file)) {
            return null;
        }
        if (! is_dir(dirname($file))) {
            mkdir(dirname($file), 0700, true);
        }
        $key = new self(random_bytes(SODIUM_CRYPTO_SECRETSTREAM_XCHACHA20POLY1305_KEYBYTES));
        $part = "$file.part";
        touch($part);
        chmod($part, 0600);
        file_put_contents($part, $key->bytes);
        rename($part, $file);

        return $key;
    }

    /** @throws InstallationRefused when it is not as one is spelled */
    public static function spelled(string $text): self
    {
        $text = strtoupper((string) preg_replace('/[^0-9A-Za-z]/', '', $text));
        $text = strtr($text, ['O' => '0', 'I' => '1', 'L' => '1']);
        $bits = '';
        foreach (str_split($text) as $letter) {
            $at = strpos(self::LETTERS, $letter);
            $bits .= sprintf('%05b', $at === false ? throw InstallationRefused::keyMisspelled() : $at);
        }
        $bytes = '';
        foreach (str_split(substr($bits, 0, 256), 8) as $byte) {
            $bytes .= chr((int) bindec($byte));
        }
        if (strlen($text) !== 56 || strlen($bytes) !== 32 || ! hash_equals((new self($bytes))->letters(), $text)) {
            throw InstallationRefused::keyMisspelled();
        }

        return new self($bytes);
    }

    /** Fourteen groups of four letters. */
    public function onPaper(): string
    {
        return implode('-', str_split($this->letters(), 4));
    }

    /** By what a backup names the key it was sealed with, without giving it away. */
    public function id(): string
    {
        return bin2hex(sodium_crypto_generichash('ordotype backup key', $this->bytes, 16));
    }

    private function letters(): string
    {
        $bits = '';
        foreach (str_split($this->bytes) as $byte) {
            $bits .= sprintf('%08b', ord($byte));
        }
        // 256 bits fill 52 letters but for four bits; what follows them is a sum of the key.
        $sum = sodium_crypto_generichash($this->bytes, '', 16);
        $bits .= sprintf('%08b%08b%08b', ord($sum[0]), ord($sum[1]), ord($sum[2]));

        return implode(
            '',
            array_map(fn (string $five) => self::LETTERS[(int) bindec($five)], str_split(substr($bits, 0, 280), 5)),
        );
    }

    private static function file(): string
    {
        return (string) config('ordotype.backup_key');
    }
}
