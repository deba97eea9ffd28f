<?php

declare(strict_types=1);

namespace App\Content\Agree;

use App\Support\Given;
use Illuminate\Console\Command;
use MillStep\Core\Policy\ShopPolicy;
use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Yaml\Yaml;

/** Whether plan, lesson, check, sheet and permit agree, as far as a program can tell from their files: each place where they do not. */
#[AsCommand('content:agree', 'Says where permits and sheets do not agree')]
final class Agree extends Command
{
    /** What is known and stands for a while: rule and id, with a reason and a date. One that no longer occurs is a fault, too. */
    private const EXCEPTIONS = 'agree.yaml';

    protected $signature = 'content:agree {folder? : of packs; those that ship where none is named}';

    public function handle(): int
    {
        $folder = Given::text($this->argument('folder')) ?: base_path('content');
        $shelf = Shelf::at(rtrim($folder, '/'));
        $rules = [new CoversWhatWasShown, new ZeroFails(ShopPolicy::usual()), new LevelsApart, new LevelsByMachine,
            new ReviewIsMarked, new StatementIsBacked, new LimitsAreBound, new CanBeDrilledFirst,
        ];
        $found = array_merge(...array_map(static fn (Rule $rule): array => $rule->violations($shelf), $rules));
        $file = "$folder/".self::EXCEPTIONS;
        $known = is_file($file) ? Given::rows(Yaml::parseFile($file)) : [];
        $names = array_map(static fn (array $one): string => Given::text($one['rule'] ?? null).' '.Given::text($one['id'] ?? null), $known);
        $faults = [];
        foreach ($found as $violation) {
            in_array($violation->key(), $names, true) || $faults[] = $violation->line();
        }
        $keys = array_map(static fn (Violation $violation): string => $violation->key(), $found);
        foreach ($known as $index => $one) {
            if (! in_array($names[$index], $keys, true)) {
                $faults[] = "{$names[$index]}: an exception that does not occur any more";
            }
            if (Given::text($one['reason'] ?? null) === '' || preg_match('/^\d{4}-\d\d-\d\d$/', Given::text($one['since'] ?? null)) !== 1) {
                $faults[] = "{$names[$index]}: an exception says its reason, and since when (as '2031-05-02')";
            }
        }
        array_map($this->line(...), $faults);
        $this->line(sprintf(
            '%d permits, %d sheets: %d places do not agree, %d known.',
            count($shelf->permits),
            count($shelf->sheets),
            count($faults),
            count($known),
        ));

        return $faults === [] ? self::SUCCESS : self::FAILURE;
    }
}
