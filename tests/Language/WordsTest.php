<?php

declare(strict_types=1);

use App\Language\Sentences;
use Illuminate\Support\Facades\DB;
use MillStep\Core\Border\Message;

/** @return list<string> what stands in quotes in the files of a folder, comments left out */
function strings_in(string $folder): array
{
    $strings = [];
    foreach (new RecursiveIteratorIterator(new RecursiveDirectoryIterator($folder, FilesystemIterator::SKIP_DOTS)) as $file) {
        foreach (str_ends_with((string) $file, '.php') ? token_get_all((string) file_get_contents((string) $file)) : [] as $token) {
            if (is_array($token) && in_array($token[0], [T_CONSTANT_ENCAPSED_STRING, T_ENCAPSED_AND_WHITESPACE], true)) {
                $strings[] = [basename((string) $file), trim($token[1], '\'"')];
            }
        }
    }

    return $strings;
}

/** @return list<string> keys below a place of a language's files */
function keys_below(string $language, string $place = ''): array
{
    $all = [];
    foreach (glob(resource_path("js/*/locale/$language.json")) ?: [] as $file) {
        $all = [...$all, ...array_keys(Illuminate\Support\Arr::dot(json_decode((string) file_get_contents($file), true)))];
    }

    return array_values(array_filter($all, static fn (string $key): bool => str_starts_with($key, $place)));
}

it('says nothing in the core that a person would read', function (): void {
    // What is wrong with a reference table is said to whoever ships it, by exceptions that stop the program.
    $tables = ['BrokenTable.php', 'Row.php', 'Table.php'];
    $complaints = '/^(lies (outside|below|over)|is (no wider|not larger|empty)|the (band|column|row)'
        .'|No (feed|speed|operation|tap|centre|drawing|hole|scene)'
        .'|The review (finds|does not find) |, which nobody put in'
        .'|A crib has|mill-step)/';
    $words = array_filter(
        strings_in(base_path('core/src')),
        static fn (array $string): bool => preg_match('/[A-Za-z]{2,}[,;:]? [a-z%]/', $string[1]) === 1
            && ! in_array($string[0], $tables, true)
            && preg_match($complaints, $string[1]) !== 1
            && ! str_contains($string[1], '\\d'),
    );
    expect(array_values($words))->toBe([]);
});

it('has a sentence for every code that the core and the application can mean, in every language', function (string $language): void {
    $has = Sentences::in($language);
    $codes = '/^(?:input|measure|workshop|planning|policy|learning|assessment|competency|setup|reference|refused|fault|problem|letter)'
        .'\.[a-z_0-9.]*[a-z0-9]$/';
    $missing = [];
    foreach ([...strings_in(base_path('core/src')), ...strings_in(app_path())] as [$file, $string]) {
        if (preg_match($codes, $string) === 1 && ! str_ends_with($string, '.php')
            && $has->template("core.$string") === null && $has->template($string) === null
            && keys_below($language, "core.$string.") === []) {
            $missing[] = "$file: $string";
        }
    }
    expect(array_values(array_unique($missing)))->toBe([]);
})->with(Sentences::LANGUAGES);

it('has a word for everything of the tables, in every language', function (string $language): void {
    $has = Sentences::in($language);
    $wanted = [
        ...array_map(static fn (string $key): string => "workshop.material.$key",
            array_keys(MillStep\Core\Workshop\MaterialTable::shipped()->all())),
        ...array_map(static fn (string $key): string => "workshop.avoid.$key",
            array_keys(MillStep\Core\Workshop\MaterialTable::shipped()->all())),
        ...array_map(static fn (string $key): string => "workshop.holding.$key",
            array_keys(MillStep\Core\Workshop\Holding\Workholding::all())),
        ...array_map(static fn (string $key): string => "workshop.lubricant.$key", MillStep\Core\Workshop\Lubricant::KNOWN),
        ...array_map(static fn (string $key): string => "workshop.group.$key", MillStep\Core\Workshop\Material::GROUPS),
        ...array_map(static fn (array $mark): string => "reference.unsure.{$mark['says']}", MillStep\Core\Reference\Uncertainty::marks()),
    ];
    expect(array_values(array_filter($wanted, static fn (string $code): bool => $has->template("core.$code") === null)))->toBe([]);
})->with(Sentences::LANGUAGES);

it('says a sentence with its terms, its plural, its lists and its capital', function (): void {
    $es = Sentences::in('es');
    $en = Sentences::in('en', 'in');
    $batch = Message::of('planning.lacks.support_or', [
        'out_mm' => 50.8, 'out_ratio' => 3.5, 'allowed_ratio' => 3, 'advice' => Message::anyOf(['a', 'b', 'otra']),
        'instead' => Message::of('planning.instead.fewer_at_once', ['count' => 4]),
    ]);
    expect($en->say($batch))
        ->toBe('The work stands out 2 in, 3.5 diameters; over 3 it needs support: a, b or otra. Or make at most 4 at once.')
        ->and($es->say($batch))
        ->toBe('La pieza sobresale 50,8 mm, 3,5 diámetros; por encima de 3 necesita apoyo: a, b u otra. O haga como máximo 4 de una vez.')
        ->and($en->say(Message::of('planning.why.passes', ['count' => 1])))->toBe('1 pass, a light one.')
        ->and($en->say(Message::of('setup.finding.lubricant_wrong', [
            'material' => Message::of('workshop.material.copper'), 'wanted' => Message::of('workshop.lubricant.dry'),
        ])))->toBe('Copper (high conductivity) wants dry.')
        // One that ends in another sentence begins with a capital too.
        ->and($en->say(Message::of('planning.lacks.holding_by_hand', [
            'holding' => 'a small vice', 'instead' => Message::of('planning.instead.open_out'),
        ])))->toStartWith('A small vice: never')
        ->and($en->say('a name'))->toBe('a name')
        ->and($en->say(Message::of('nothing.like_it')))->toBe('nothing.like_it');
});

it('has words for every table and column that the audit log writes down', function (string $language): void {
    $tables = DB::table('information_schema.triggers')->where('trigger_name', 'like', '%_audited')
        ->distinct()->pluck('event_object_table')->all();
    $columns = DB::table('information_schema.columns')->whereIn('table_name', $tables)->where('table_schema', 'public')
        ->distinct()->pluck('column_name')->all();
    // What passes by is not written down (records_audit_row).
    $columns = array_diff($columns, [
        'id', 'created_at', 'updated_at', 'last_seen_at', 'slowed_until', 'pin_failures', 'pin_locked_until', 'units', 'remember_token',
        'pairing_id',
    ]);
    $said = App\Language\Sentences::in($language);
    $missing = [
        ...array_filter($tables, fn (string $table): bool => $said->template("records.source.$table") === null),
        ...array_filter($columns, fn (string $column): bool => $said->template("records.column.$column") === null),
    ];
    expect(array_values($missing))->toBe([]);
})->with(App\Language\Sentences::LANGUAGES);

it('names materials in the language of whoever chooses one', function (string $language, string $steel): void {
    $this->actingAs($this->instructor());
    $path = "/api/competency/learners/{$this->person()->id}/permits/drill-through-10/sign-off";
    $materials = $this->withHeader('Accept-Language', $language)->getJson($path)->assertOk()->json('materials');
    expect(array_column($materials, 'name', 'key')['mild_steel'])->toBe($steel);
})->with([['es', 'Acero suave'], ['en', 'Mild steel']]);
