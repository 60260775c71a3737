<?php

declare(strict_types=1);

namespace Ordotype\Core\Words;

/** What is asked, in words, as each kind of requirement says it. */
final readonly class RequirementText
{
    /**
     * @param  string  $subject  what is asked for, in a few words
     * @param  string  $demand  with how much of it
     * @param  string  $amount  how much of it alone
     * @param  string  $look  as it is when it is as it should be
     * @param  string  $lookExtent  how widely, after a comma; empty where that is no question
     * @param  string  $lookMore  where and in how many passes, after a comma
     * @param  string|null  $client  in plain words; null where clients are not told
     * @param  string|null  $clientMore  the same where there was some of it before
     */
    public function __construct(
        public string $subject,
        public string $demand,
        public string $amount,
        public string $look,
        public string $lookExtent = '',
        public string $lookMore = '',
        public ?string $client = null,
        public ?string $clientMore = null,
    ) {
    }
}
