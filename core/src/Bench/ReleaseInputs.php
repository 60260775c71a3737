<?php

declare(strict_types=1);

namespace Ordotype\Core\Bench;

/** What a release was made from, named so that it can be told whether anything has changed since. */
final readonly class ReleaseInputs
{
    /**
     * @param  string  $standardSha256  of the published version
     * @param  int|null  $schemeVersion  null: without colours
     * @param  list<MadeAmendment>  $amendments
     * @param  string  $sha256  of all inputs, as RFC 8785 JSON
     */
    public function __construct(
        public int $standardVersion,
        public string $standardSha256,
        public ?int $schemeVersion,
        public array $amendments,
        public string $sha256,
    ) {
    }
}
