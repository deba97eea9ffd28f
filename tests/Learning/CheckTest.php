<?php

declare(strict_types=1);

use App\Competency\LedgerEntry;
use App\Learning\Attempt;

function rightOnes(Attempt $attempt): array
{
    $answers = [];
    foreach ($attempt->paper()->questions as $question) {
        $answers[$question->id] = $question->figure === null ? $question->right : [(string) $question->figure->answer];
    }

    return $answers;
}

beforeEach(function (): void {
    $this->actingAs($this->learner = $this->person());
    $this->start = fn (?string $id = null) => $this->postJson('/api/learning/checks/SC-through-holes/attempts', ['id' => $id ?? fake_uuid()])->assertSuccessful();
});

it('draws five questions of three kinds, one critical, and keeps the answers to itself', function (): void {
    $paper = ($this->start)();
    expect($paper->json('questions'))->toHaveCount(5)
        ->and(array_unique(array_column($paper->json('questions'), 'kind')))->toHaveCount(3)
        ->and(array_filter(array_column($paper->json('questions'), 'critical')))->toHaveCount(1)
        ->and($paper->json('result'))->toBeNull()
        ->and($paper->getContent())->not->toContain('explanation')->not->toContain('right_answer');
});

it('goes on with the open paper, and shows it again exactly', function (): void {
    $first = ($this->start)();
    expect(($this->start)()->json('id'))->toBe($first->json('id'));
    expect($this->getJson('/api/learning/attempts/'.$first->json('id'))->json('questions'))->toBe($first->json('questions'));
});

it('marks, explains, and writes one line into the ledger', function (): void {
    $id = ($this->start)()->json('id');
    $answers = rightOnes(Attempt::query()->findOrFail($id));
    $result = $this->postJson("/api/learning/attempts/$id/answers", ['answers' => $answers])->assertOk();
    expect($result->json('result'))->passed->toBeTrue()->score_percent->toEqual(100)
        ->and($result->json('result.lines.0.explanation'))->not->toBe('');
    $this->postJson("/api/learning/attempts/$id/answers", ['answers' => []])->assertOk()->assertJsonPath('result.passed', true);
    expect(LedgerEntry::query()->where('type', 'check_attempted')->count())->toBe(1);
});

it('fails on a wrong critical answer, and a retake has other figures', function (): void {
    $id = ($this->start)()->json('id');
    $attempt = Attempt::query()->findOrFail($id);
    $critical = $attempt->paper()->questions[0];
    $this->postJson("/api/learning/attempts/$id/answers", ['answers' => [...rightOnes($attempt), $critical->id => ['wrong']]])->assertOk()
        ->assertJsonPath('result.passed', false)->assertJsonPath('result.critical_wrong', true);
    $again = Attempt::query()->findOrFail(($this->start)()->json('id'));
    expect($again->id)->not->toBe($id)->and($again->paper()->figures())->not->toBe($attempt->paper()->figures());
});

it('is nobody else\'s paper', function (): void {
    $id = ($this->start)()->json('id');
    $this->actingAs($this->person())->getJson("/api/learning/attempts/$id")->assertForbidden();
    $this->postJson("/api/learning/attempts/$id/answers", ['answers' => []])->assertForbidden();
    $this->actingAs($this->instructor())->getJson("/api/learning/attempts/$id")->assertOk();
});
