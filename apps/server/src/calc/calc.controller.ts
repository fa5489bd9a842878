import { BadRequestException, Body, Controller, Get, HttpCode, Param, Post, Req } from '@nestjs/common';
import { ApiBody, ApiTags } from '@nestjs/swagger';
import { allSums, calculate, type CalculatorAnswer, CALCULATORS, schemasOf, SOLVERS } from '@keen/core';
import type { Request } from 'express';
import { notFound } from '../errors/api-error.js';
import { SolverPool } from '../solver/solver-pool.js';
import { whenGone } from '../engine/when-gone.js';

/** Every sum of the program, by name. */
@ApiTags('calculators')
@Controller('calc')
export class CalcController {
  constructor(private readonly solver: SolverPool) {}

  /** Names, questions and schemas of all sums. */
  @Get()
  list(): unknown[] {
    return allSums().map((sum) => ({ name: sum.name, question: sum.question, ...schemasOf(sum) }));
  }

  /** Runs one sum of the reference desk; `GET /api/calc` lists their names with the schemas of their inputs and outputs. */
  @Post(':name')
  @HttpCode(200)
  @ApiBody({ schema: { type: 'object', additionalProperties: true } })
  async run(@Param('name') name: string, @Body() input: unknown, @Req() request: Request): Promise<unknown> {
    const answer = await this.answer(name, input, request);
    if (!answer.ok) throw new BadRequestException({ error: answer.error });
    return answer.value;
  }

  private answer(
    name: string,
    input: unknown,
    request: Request,
  ): CalculatorAnswer | Promise<CalculatorAnswer> {
    const calculator = CALCULATORS.get(name);
    if (calculator) return calculate(calculator, input);
    if (!SOLVERS.has(name)) throw notFound('calculator', name);
    return this.solver.sum(name, input, whenGone(request));
  }
}
