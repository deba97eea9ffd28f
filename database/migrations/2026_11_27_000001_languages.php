<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::table('people_users', function (Blueprint $table): void {
            $table->string('language', 5)->default('en')->comment('one that Sentences knows');
        });
        // What a machine's screen speaks until a badge is held to it.
        Schema::table('workshop_machines', function (Blueprint $table): void {
            $table->string('language', 5)->default('en');
        });
        // What is set once for the whole shop and is no rule: its name, the language it greets in.
        Schema::create('workshop_shop', function (Blueprint $table): void {
            $table->unsignedSmallInteger('id')->primary();
            $table->string('name', 80);
            $table->string('language', 5)->default('en');
            $table->timestampsTz();
        });
    }
};
